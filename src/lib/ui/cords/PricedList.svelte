<!-- Changes that would help, each with what it does, to be put in force by a touch. -->
<script lang="ts">
	interface Props {
		/** Absent `onapply`: it is not the app's to do. */
		items: readonly {
			readonly id: string;
			readonly say: string;
			readonly gains?: string;
			readonly effect: string;
			readonly onapply?: (() => void) | undefined;
		}[];
	}
	const { items }: Props = $props();
</script>

<ol>
	{#each items as what (what.id)}
		<li>
			<span
				><span class="say">{what.say}</span>{#if what.gains}: {what.gains}{/if}</span
			>
			<span class="effect">{what.effect}</span>
			{#if what.onapply}
				<button type="button" aria-label="Apply: {what.say}" onclick={what.onapply}>Apply</button>
			{/if}
		</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(30rem, 100%), 1fr));
		gap: 3px var(--space-3);
		margin-top: var(--space-2);
	}
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		align-items: center;
		gap: 0 var(--space-3);
		min-height: 56px;
		padding: var(--space-1) var(--space-3);
		border-left: 6px solid var(--herb-fill);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.say {
		display: inline-block;
		font-weight: 600;
	}
	.say::first-letter {
		text-transform: uppercase;
	}
	.effect {
		grid-row: 2;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	button {
		grid-row: 1 / 3;
		grid-column: 2;
	}
</style>
