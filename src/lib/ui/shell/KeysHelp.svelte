<!-- The keys, on one card. -->
<script lang="ts">
	import { places } from './places';

	interface Props {
		isOpen: boolean;
		onclose: () => void;
	}
	const { isOpen, onclose }: Props = $props();

	const keys: readonly (readonly [string, string])[] = [
		...places.map((p) => [`g then ${p.key}`, `go to ${p.name}`] as const),
		['Ctrl K', 'find anything'],
		['Ctrl Z', 'undo; with Shift, redo'],
		['← →', 'Plan: the step before, the step after'],
		['↑ ↓', 'Plan: along one part'],
		['[ ]', 'Plan: more, less room for the end'],
		['Space', 'Cook: the first card is done'],
		['1 – 9', 'Cook: that card is done'],
		['+ −', 'Cook: the first timer a minute longer, shorter'],
		['n h f', 'Cook: what is looked at is nearly done, half way, far from it'],
		['l', 'Cook: life differs'],
		['u', 'Cook: undo']
	];
	const open = (dialog: HTMLDialogElement) => {
		dialog.showModal();
	};
</script>

{#if isOpen}
	<dialog {@attach open} {onclose} aria-label="Keys">
		<h2>Keys</h2>
		<dl>
			{#each keys as [key, what] (key)}
				<dt>{key}</dt>
				<dd>{what}</dd>
			{/each}
		</dl>
		<form method="dialog"><button>Close</button></form>
	</dialog>
{/if}

<style>
	dialog {
		padding: var(--space-5);
		border: 1.5px solid var(--rim);
		border-radius: var(--corner);
		background: var(--enamel);
		color: var(--ink);
	}
	dialog::backdrop {
		background: var(--veil);
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: var(--space-1) var(--space-4);
		margin: var(--space-3) 0;
	}
	dt {
		font-weight: 700;
	}
</style>
