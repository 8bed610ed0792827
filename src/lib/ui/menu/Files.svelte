<!-- The meal as a file, out and in; the demo as it was; records that could not be read. -->
<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import Upload from '@lucide/svelte/icons/upload';
	import type { KeptRecord } from '../../data/database';
	import { download } from '../download';

	interface Props {
		kept: readonly KeptRecord[];
		onexport: () => { readonly name: string; readonly text: string };
		onimport: (name: string, text: string) => void;
		onreset: () => void;
	}
	const { kept, onexport, onimport, onreset }: Props = $props();

	/** A larger file is not one of ours, bytes. */
	const largest = 2_000_000;
	let input: HTMLInputElement | undefined = $state();

	async function read(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const field = event.currentTarget;
		const file = field.files?.[0];
		if (!file) return;
		onimport(file.name, file.size > largest ? '' : await file.text());
		field.value = '';
	}
</script>

<details class="files">
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
		<button type="button" onclick={() => input?.click()}><Upload size={16} /> Import a Juntos file</button>
		<input
			bind:this={input}
			class="out-of-sight"
			type="file"
			accept=".json,application/json"
			aria-label="Juntos file to import"
			tabindex="-1"
			onchange={read}
		/>
		<button type="button" onclick={onreset}><RotateCcw size={16} /> Reset the demo meals</button>
	</div>
	{#if kept.length > 0}
		<h3>Kept aside: could not be read</h3>
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
