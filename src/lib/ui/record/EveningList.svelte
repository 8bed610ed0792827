<!-- All evenings, the newest first, month by month: when, what, how it ended. -->
<script lang="ts">
	import type { CookedEvening } from '../../core/record/evening';
	import { wordEvening } from '../../core/words/record';

	interface Props {
		evenings: readonly CookedEvening[];
		chosen: string | undefined;
	}
	const { evenings, chosen }: Props = $props();

	const month = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' });
	const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
	const at = (date: string) => new Date(`${date}T12:00:00Z`);
	const rows = $derived(
		evenings.map((e, i) => {
			const own = month.format(at(e.date));
			const before = evenings[i - 1];
			const isFirst = before === undefined || month.format(at(before.date)) !== own;
			return { evening: e, head: isFirst ? own : undefined, day: day.format(at(e.date)), end: wordEvening(e) };
		})
	);
</script>

<ol aria-label="Evenings">
	{#each rows as { evening, head, day: date, end } (evening.id)}
		{#if head !== undefined}<li class="head">{head}</li>{/if}
		<li class="row">
			<a
				href="/record?evening={encodeURIComponent(evening.id)}"
				aria-current={evening.id === chosen ? 'true' : undefined}
			>
				<span class="date">{date}</span>
				<strong>{evening.name}</strong>
				<span class="end" data-late={end.includes('late')}>{end}</span>
			</a>
		</li>
	{/each}
</ol>

<style>
	ol {
		display: grid;
		align-content: start;
		gap: 2px;
	}
	.head {
		padding: var(--space-2) var(--space-3) 2px;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.row {
		content-visibility: auto;
		contain-intrinsic-size: auto 52px;
	}
	a {
		display: grid;
		grid-template-columns: 5.4rem 1fr;
		align-content: center;
		min-height: 52px;
		padding: var(--space-1) var(--space-3);
		border-left: 6px solid transparent;
		border-radius: var(--corner);
		text-decoration: none;
	}
	a:hover {
		background: var(--enamel);
	}
	a[aria-current] {
		border-left-color: var(--copper-fill);
		background: var(--enamel);
	}
	.date {
		grid-row: 1 / 3;
		align-self: center;
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.end {
		font-size: var(--text-s);
		color: var(--herb);
	}
	.end[data-late='true'] {
		color: var(--alarm);
	}
</style>
