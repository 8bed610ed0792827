<!-- Around the pages of the Record: evenings, what they teach, and what was tried side by side. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import Download from '@lucide/svelte/icons/download';
	import { recordRows, writeRecord } from '$lib/core/formats/juntos/record';
	import { examplesOf, isExample } from '$lib/core/record/pretend';
	import { getApp } from '$lib/state/app.svelte';
	import { csvOf } from '$lib/ui/menu/lists';
	import { download } from '$lib/ui/download';
	import FileButton from '$lib/ui/FileButton.svelte';
	import PageTabs from '$lib/ui/PageTabs.svelte';

	interface Props {
		children: Snippet;
	}
	const { children }: Props = $props();

	const app = getApp();
	const { record } = app;
	const pages = [
		{ path: '/record', name: 'Evenings' },
		{ path: '/record/learnt', name: 'What was learnt' },
		{ path: '/record/trials', name: 'Side by side' }
	];
	const kept = $derived(record.evenings.filter((e) => e.archived !== true));
	const examples = $derived(record.evenings.filter((e) => isExample(e.id)));

	async function exportRows(): Promise<void> {
		download('record.csv', await csvOf(recordRows(kept)), 'text/csv');
	}

	// The database opens after the page.
	$effect(() => {
		if (app.isReady) void record.read();
	});

	function fill(): void {
		const made = examplesOf(app.meal, app.kitchen, app.techniques, app.planning.plan, Date.now());
		void record.take(made);
		app.notices.say(`${made.length} made-up evenings of ${app.meal.name} are here. “Take them out” removes them.`);
	}

	async function exportAll(): Promise<void> {
		const pictures = await record.picturesOf(kept);
		download('record.juntos.json', writeRecord(kept, pictures));
	}
</script>

<h1 class="out-of-sight">Record</h1>
<PageTabs label="Pages of the record" {pages} path={page.url.pathname} />
{#if record.isRead && kept.length === 0}
	<section class="empty">
		<h2>Nothing was cooked yet</h2>
		<p>
			Cook a meal in <a href="/cook">Cook</a>: what was done when writes itself here, and after dinner there is a minute
			for how it was. From three records on, plans begin to learn.
		</p>
		<div class="row">
			<button type="button" disabled={!app.planning.isCurrent} onclick={fill}>Look at ten made-up evenings</button>
			<FileButton label="Import a record" what="Record to import" onfile={(file) => void app.importFile(file)} />
		</div>
	</section>
{:else if record.isRead}
	{@render children()}
	<details class="files">
		<summary>Files</summary>
		<div class="row">
			<button type="button" onclick={() => void exportAll()}><Download size={16} /> Export the record</button>
			<button type="button" onclick={() => void exportRows()}><Download size={16} /> Every step as CSV</button>
			<FileButton label="Import a record" what="Record to import" onfile={(file) => void app.importFile(file)} />
			{#if examples.length > 0}
				<button type="button" onclick={() => void record.drop(new Set(examples.map((e) => e.id)))}
					>Take them out: {examples.length} made-up evenings</button
				>
			{/if}
		</div>
	</details>
{:else}
	<p class="soft">Reading the record …</p>
{/if}

<style>
	.empty {
		display: grid;
		justify-items: start;
		gap: var(--space-3);
		max-width: 44rem;
		padding: var(--space-5);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2);
	}
	.files {
		margin-top: var(--space-4);
	}
	summary {
		min-height: var(--touch);
		padding-top: var(--space-2);
		cursor: pointer;
		font-weight: 600;
	}
</style>
