<!-- How Cook reaches a cook: voice, sound, shake, a screen that stays awake; each on or off. -->
<script lang="ts" generics="K extends string">
	interface Props {
		kinds: readonly { readonly kind: K; readonly words: string; readonly isPossible: boolean }[];
		on: ReadonlySet<K>;
		onswitch: (kind: K) => void;
	}
	const { kinds, on, onswitch }: Props = $props();
</script>

<div role="group" aria-label="How cues reach you">
	{#each kinds as { kind, words, isPossible } (kind)}
		<button
			type="button"
			aria-pressed={on.has(kind)}
			disabled={!isPossible}
			title={isPossible ? undefined : 'This browser cannot'}
			onclick={() => {
				onswitch(kind);
			}}>{words}</button
		>
	{/each}
</div>

<style>
	div {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1);
	}
	button {
		min-height: 52px;
	}
	button[aria-pressed='true'] {
		border-color: var(--ink);
		background: var(--ink);
		color: var(--enamel);
	}
</style>
