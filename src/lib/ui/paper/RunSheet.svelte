<!-- A sheet of lines to tick: the clock, the time that is left, what to do; black on white. -->
<script lang="ts">
	import SheetHead from './SheetHead.svelte';
	import { wordLeft, wordWhen, type SheetLine } from '../../core/formats/sheet/run-sheet';

	interface Props {
		name: string;
		/** What it is a sheet of: the meal, who it is for. */
		under: string;
		lines: readonly SheetLine[];
		/** What everybody has to know: whom what is not for. */
		notes: readonly string[];
		/** Whose hands it is, on each line. */
		hasCooks: boolean;
	}
	const { name, under, lines, notes, hasCooks }: Props = $props();

	/** Of what, where, whose; how it looks when it is done. */
	function wordMore({ part, where, cook, sign }: SheetLine): string {
		const of = [part, where, hasCooks ? cook : ''].filter((w) => w !== '').join(' · ');
		return [of, sign.replace(/\.$/, '')].map((w) => (w === '' ? '' : `${w}.`)).join(' ');
	}
</script>

<section class="sheet" aria-label={name}>
	<SheetHead {name} {under} />
	{#each notes as note (note)}<p class="note">{note}</p>{/each}
	<table>
		<thead>
			<tr><th><span class="out-of-sight">done</span></th><th>at</th><th>left</th><th>what</th></tr>
		</thead>
		<tbody>
			{#each lines as line (line.id)}
				<tr data-kind={line.kind}>
					<td class="box"><span></span></td>
					<td class="at">{wordWhen(line.at)}</td>
					<td class="left">{wordLeft(line.left)}</td>
					<td>
						<strong>{line.say}</strong>
						<span class="more"
							>{wordMore(line)}{#each line.cautions as caution, i (i)}<b>{caution}</b>{/each}</span
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</section>

<style>
	.note {
		margin-bottom: 1mm;
		padding: 1mm 2mm;
		border: 0.6mm solid #000;
		font-size: 12pt;
		font-weight: 700;
	}
	table {
		width: 100%;
		border-collapse: collapse;
	}
	thead {
		font-size: 9pt;
		text-align: left;
	}
	tr {
		break-inside: avoid;
	}
	tbody tr {
		border-bottom: 0.2mm solid #888;
	}
	tbody tr[data-kind='serve'] {
		border-top: 0.6mm solid #000;
		border-bottom: 0.6mm solid #000;
	}
	td,
	th {
		padding: 1.2mm 2mm 1.2mm 0;
		vertical-align: top;
	}
	.box span {
		display: block;
		width: 5mm;
		height: 5mm;
		border: 0.4mm solid #000;
		border-radius: 1mm;
	}
	.at {
		font-size: 15pt;
		font-weight: 700;
		line-height: 1.1;
		white-space: nowrap;
	}
	.left {
		font-size: 11pt;
		white-space: nowrap;
	}
	strong {
		font-size: 13pt;
		line-height: 1.2;
	}
	b {
		margin-left: 0.3em;
	}
	.more {
		display: block;
		font-size: 10pt;
	}
</style>
