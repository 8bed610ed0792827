<!-- What was learnt, each with its evidence, to be planned by, held back, or taken back. -->
<script lang="ts">
	interface Props {
		items: readonly {
			readonly id: string;
			readonly say: string;
			readonly evidence: string;
			/** What plans would do by it, in words, once that is known. */
			readonly effect?: string | undefined;
			readonly onaccept?: (() => void) | undefined;
			readonly onhold?: (() => void) | undefined;
			readonly onback?: (() => void) | undefined;
			readonly onlook?: (() => void) | undefined;
			readonly isShown?: boolean;
		}[];
	}
	const { items }: Props = $props();
</script>

<ul>
	{#each items as item (item.id)}
		<li data-shown={item.isShown}>
			<p class="say">{item.say}.</p>
			<p class="evidence">
				{item.evidence}
				{#if item.effect}<strong>{item.effect}</strong>{/if}
			</p>
			<div class="row">
				{#if item.onaccept}<button
						type="button"
						class="main"
						aria-label="Plan by it: {item.say}"
						onclick={item.onaccept}>Plan by it</button
					>{/if}
				{#if item.onhold}<button type="button" aria-label="Hold back: {item.say}" onclick={item.onhold}
						>Hold back</button
					>{/if}
				{#if item.onback}<button type="button" aria-label="Take back: {item.say}" onclick={item.onback}
						>Take back</button
					>{/if}
				{#if item.onlook}<button
						type="button"
						aria-pressed={item.isShown === true}
						aria-label="Evening by evening: {item.say}"
						onclick={item.onlook}>Evening by evening</button
					>{/if}
			</div>
		</li>
	{/each}
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-2);
	}
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0 var(--space-4);
		padding: var(--space-2) var(--space-3);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	li[data-shown='true'] {
		box-shadow: inset 0 0 0 2px var(--copper-fill);
	}
	.say {
		font-weight: 600;
	}
	.say::first-letter {
		text-transform: uppercase;
	}
	.evidence {
		grid-row: 2;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.row {
		grid-row: 1 / 3;
		grid-column: 2;
		display: flex;
		flex-wrap: wrap;
		justify-content: end;
		gap: var(--space-2);
	}
	.main {
		border-color: var(--herb-fill);
		background: var(--herb-wash);
		font-weight: 600;
	}
	[aria-pressed='true'] {
		border-color: var(--iron);
		background: var(--iron);
		color: var(--on-iron);
	}
	@media (max-width: 720px) {
		li {
			grid-template-columns: minmax(0, 1fr);
		}
		.row {
			grid-row: 3;
			grid-column: 1;
			justify-content: start;
			margin-top: var(--space-2);
		}
	}
</style>
