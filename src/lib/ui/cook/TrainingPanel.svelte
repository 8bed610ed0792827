<!-- Training: an evening that is only played, with things that go wrong; what has just gone wrong, and what to do about it. -->
<script lang="ts">
	import GraduationCap from '@lucide/svelte/icons/graduation-cap';
	import Stepper from '../Stepper.svelte';

	interface Props {
		isOn: boolean;
		/** Whether an evening that is cooked is on: it waits meanwhile. */
		hasBegun: boolean;
		/** What went wrong and was not taken in yet, in words. */
		mishaps: readonly { readonly id: string; readonly say: string }[];
		onbegin: (seed: number, mishaps: number) => void;
		onend: () => void;
		/** The evening takes it in. */
		ontake: (id: string) => void;
	}
	const { isOn, hasBegun, mishaps, onbegin, onend, ontake }: Props = $props();
	let seed = $state(1);
	let rate = $state(4);
</script>

{#if isOn}
	<div class="on">
		<p><strong>Training:</strong> nothing of this evening is kept.</p>
		<button type="button" onclick={onend}>End the training</button>
	</div>
	<div role="alert">
		{#each mishaps as { id, say } (id)}
			<div class="wrong">
				<p>{say}</p>
				<button
					type="button"
					aria-label="So it is: {say}"
					onclick={() => {
						ontake(id);
					}}>So it is</button
				>
			</div>
		{/each}
	</div>
{:else}
	<details>
		<summary><GraduationCap size={20} aria-hidden="true" /> Train on this evening</summary>
		<p>
			The same screen, with an evening that is only played: steps take as long as they do, things go wrong, and at the
			end you see where time was lost. {hasBegun ? 'The evening that is on waits meanwhile.' : ''}
		</p>
		<div class="row">
			<Stepper
				label="Evening number"
				value={seed}
				least={1}
				most={9999}
				isWhole
				onchange={(n) => {
					seed = n;
				}}
			/>
			<Stepper
				label="Mishaps an hour"
				value={rate}
				least={0}
				most={12}
				isWhole
				onchange={(n) => {
					rate = n;
				}}
			/>
			<button
				type="button"
				onclick={() => {
					onbegin(seed, rate);
				}}>Begin the training</button
			>
		</div>
	</details>
{/if}

<style>
	.on,
	.wrong {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-2);
		margin-top: var(--space-2);
		padding: var(--space-2) var(--space-4);
		border-radius: var(--corner);
		background: var(--saffron-wash);
		color: var(--saffron-ink);
	}
	.wrong {
		background: var(--alarm-wash);
		color: var(--alarm);
		font-size: var(--text-l);
	}
	.wrong button {
		min-height: var(--touch-cook);
	}
	summary {
		display: flex;
		align-items: center;
		gap: var(--space-2);
		min-height: var(--touch);
		cursor: pointer;
	}
	p {
		max-width: 60ch;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2) var(--space-3);
		margin-top: var(--space-2);
	}
</style>
