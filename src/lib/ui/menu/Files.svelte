<!-- The meal as a file, out and in; the demo as it was; records that could not be read. -->
<script lang="ts">
	import Link from '@lucide/svelte/icons/link';
	import Download from '@lucide/svelte/icons/download';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import type { KeptRecord } from '../../data/database';
	import { download } from '../download';
	import FileButton from '../FileButton.svelte';

	interface Props {
		kept: readonly KeptRecord[];
		onexport: () => { readonly name: string; readonly text: string };
		onimport: (file: File) => void;
		/** The meal as a schema.org recipe; absent: it has no plan. */
		onrecipe: (() => { readonly name: string; readonly text: string }) | undefined;
		onlink: () => void;
		onreset: () => void;
	}
	const { kept, onexport, onrecipe, onlink, onimport, onreset }: Props = $props();
</script>

<details class="files" id="files">
	<summary>Files</summary>
	<div class="row">
		<button
			type="button"
			onclick={() => {
				const { name, text } = onexport();
				download(name, text);
			}}
		>
			<Download size={16} /> Export this meal and its kitchen
		</button>
		{#if onrecipe}
			<button
				type="button"
				onclick={() => {
					const { name, text } = onrecipe();
					download(name, text, 'application/ld+json');
				}}><Download size={16} /> Save as a recipe (JSON-LD)</button
			>
		{/if}
		<button type="button" onclick={onlink}><Link size={16} /> Copy a link with this meal</button>
		<FileButton label="Import a Juntos file" what="Juntos file to import" onfile={onimport} />
		<button type="button" onclick={onreset}><RotateCcw size={16} /> Reset the demo meals</button>
		<a class="button" href="/menu/backup">Backup: everything in one file</a>
	</div>
	{#if kept.length > 0}
		<h3>Kept aside: could not be read</h3>
		<p>Download it, mend what is named, and import it again; a newer Juntos may read it by itself.</p>
		<ul>
			{#each kept as k (k.key)}
				<li>
					<button
						type="button"
						onclick={() => {
							download(`${k.key.replaceAll('/', '-')}.json`, JSON.stringify(k.record, null, '\t'));
						}}
					>
						<Download size={16} />
						{k.key.split('/')[1]}
					</button>
					{k.why[0]}
				</li>
			{/each}
		</ul>
	{/if}
</details>

<style>
	summary {
		min-height: var(--touch);
		padding-top: var(--space-2);
		cursor: pointer;
		font-weight: 600;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2);
	}
	h3 {
		margin: var(--space-3) 0 var(--space-1);
	}
	li {
		display: flex;
		align-items: center;
		gap: var(--space-2);
		font-size: var(--text-s);
	}
</style>
