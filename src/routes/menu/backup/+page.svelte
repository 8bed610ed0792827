<!-- Backup: everything in one file, and back after a look at what differs. -->
<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import type { Difference, Way } from '$lib/core/formats/juntos/backup';
	import { getApp } from '$lib/state/app.svelte';
	import { download } from '$lib/ui/download';
	import FileButton from '$lib/ui/FileButton.svelte';

	const app = getApp();
	const { backups } = app;
	let way: Way = $state('merge');
	let isBusy = $state(false);

	const words: Readonly<Record<Way, string>> = {
		merge: 'Keep what is here, and add what is missing',
		theirs: 'Where both have it otherwise, take the backup’s',
		replace: 'As in the backup; what is here only is put away'
	};
	const ways = Object.keys(words) as Way[];
	const kinds: Readonly<Record<Difference['kind'], string>> = {
		meals: 'Meals',
		kitchens: 'Kitchens',
		techniques: 'Techniques of your own',
		evenings: 'Evenings in the record'
	};
	const dated = (at: number) => new Date(at).toLocaleString('en-GB', { dateStyle: 'long', timeStyle: 'short' });
	const mostNamed = 6;
	const named = (list: readonly string[]) =>
		list.length === 0
			? '–'
			: `${list.length}: ${list.slice(0, mostNamed).join(', ')}${list.length > mostNamed ? ` and ${list.length - mostNamed} more` : ''}`;

	async function save(): Promise<void> {
		isBusy = true;
		const { name, text } = await backups.save();
		download(name, text);
		isBusy = false;
	}

	async function bringBack(): Promise<void> {
		isBusy = true;
		await backups.bringBack(way);
		isBusy = false;
		app.notices.say('The backup is here. Undo takes its meals, kitchens and techniques out again.');
	}
</script>

<h1>Backup</h1>
<p class="soft">
	All meals, kitchens, techniques of your own, evenings with their pictures, and how you like it, in one file. Nothing
	of it is sent anywhere.
</p>
<div class="row">
	<button type="button" disabled={!app.isReady || isBusy} onclick={() => void save()}
		><Download size={16} /> Save everything</button
	>
	<FileButton label="Look at a backup" what="Backup to look at" onfile={(file) => void app.importFile(file)} />
</div>
<p role="status">
	{backups.savedAt === undefined
		? 'Nothing was ever saved outside this browser.'
		: `Saved last on ${dated(backups.savedAt)}.`}
	{#if backups.isPersistent === true}The browser has promised to keep what is in it.
	{:else if backups.isPersistent === false}The browser may throw away what is in it when the device runs out of room:
		save it now and then.{/if}
</p>
{#if backups.why.length > 0}
	<div class="alarm" role="alert">
		<p><strong>This is no backup that can be read; nothing has changed.</strong></p>
		<ul>
			{#each backups.why as line, i (i)}<li>{line}</li>{/each}
		</ul>
	</div>
{/if}
{#if backups.looked}
	{@const looked = backups.looked}
	<section aria-label="What the backup would change">
		<h2>{looked.name}</h2>
		<p class="soft">
			Saved on {dated(looked.savedAt)}; with {looked.runs}
			{looked.runs === 1 ? 'run' : 'runs'} and {looked.pictures}
			{looked.pictures === 1 ? 'picture' : 'pictures'}. Nothing has changed yet.
		</p>
		<div class="scroll">
			<table>
				<thead>
					<tr
						><th><span class="out-of-sight">what</span></th><th>would come</th><th>is otherwise here</th><th
							>is the same</th
						><th>is here only</th></tr
					>
				</thead>
				<tbody>
					{#each looked.differences as d (d.kind)}
						<tr>
							<th scope="row">{kinds[d.kind]}</th>
							<td>{named(d.fresh)}</td>
							<td>{named(d.other)}</td>
							<td>{d.same.length}</td>
							<td>{named(d.mine)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if looked.unread.length > 0}
			<p><strong>Could not be read, and stays out:</strong></p>
			<ul>
				{#each looked.unread as line, i (i)}<li>{line}</li>{/each}
			</ul>
		{/if}
		<fieldset>
			<legend>How</legend>
			{#each ways as w (w)}<label><input type="radio" bind:group={way} value={w} />{words[w]}</label>{/each}
		</fieldset>
		<div class="row">
			<button type="button" disabled={isBusy} onclick={() => void bringBack()}>Bring it back</button>
			<button
				type="button"
				onclick={() => {
					backups.forget();
				}}>Leave it</button
			>
		</div>
	</section>
{/if}

<style>
	.soft {
		max-width: 60ch;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2);
		margin: var(--space-3) 0;
	}
	section {
		margin-top: var(--space-4);
		padding: var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	.scroll {
		overflow-x: auto;
	}
	table {
		margin: var(--space-3) 0;
		border-collapse: collapse;
		text-align: left;
	}
	td,
	th {
		padding: var(--space-1) var(--space-3) var(--space-1) 0;
		border-bottom: 1px solid var(--rim);
		vertical-align: top;
	}
	fieldset {
		display: grid;
		border: 0;
	}
	label {
		display: flex;
		align-items: center;
		gap: var(--space-2);
		min-height: var(--touch);
	}
	.alarm {
		padding: var(--space-3) var(--space-4);
		border-left: 6px solid var(--alarm);
		border-radius: var(--corner);
		background: var(--alarm-wash);
	}
</style>
