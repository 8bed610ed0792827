<!-- After the evening: when each course went out, which cues were left, what it did to each part. -->
<script lang="ts">
	import { formatDuration } from '../../core/units/time';

	interface Props {
		courses: readonly { readonly course: string; readonly name: string; readonly late: number }[];
		cues: number;
		/** Cues that were left, the worst first, in words. */
		late: readonly { readonly cue: string; readonly say: string; readonly seconds: number }[];
		parts: readonly { readonly part: string; readonly name: string; readonly late: number; readonly stood: number }[];
		/** What happened that was not planned, in words. */
		happened: readonly string[];
		/** Where this evening is kept; absent: it was only played. */
		record?: string | undefined;
	}
	const { courses, cues, late, parts, happened, record }: Props = $props();
	const worth = 60;
	const most = 8;
	const byMinutes = (seconds: number) =>
		Math.abs(seconds) < worth ? 'on time' : `${formatDuration(Math.abs(seconds))} ${seconds > 0 ? 'late' : 'early'}`;
	const changed = $derived(parts.filter((p) => Math.abs(p.late) >= worth || p.stood >= worth));
	const lost = $derived(late.reduce((sum, l) => sum + l.seconds, 0));
</script>

<section aria-label="How it went">
	<h3>How it went</h3>
	<ul>
		{#each courses as { course, name, late: by } (course)}
			<li><strong>{name}</strong> <span data-late={by >= worth}>{byMinutes(by)}</span></li>
		{/each}
	</ul>
	<p>
		{late.length === 0
			? `All ${cues} cues were done within a minute.`
			: `${late.length} of ${cues} cues were left for more than a minute, ${formatDuration(lost)} in all.`}
	</p>
	{#if late.length > 0}
		<ol>
			{#each late.slice(0, most) as { cue, say, seconds } (cue)}
				<li><span data-late="true">+{formatDuration(seconds)}</span> {say}</li>
			{/each}
		</ol>
	{/if}
	{#if changed.length > 0}
		<h3>What it did to the parts</h3>
		<ul>
			{#each changed as { part, name, late: by, stood } (part)}
				<li>
					<strong>{name}</strong>
					{Math.abs(by) >= worth ? `ready ${byMinutes(by)}` : 'ready on time'}{stood >= worth
						? `, stood ${formatDuration(stood)} past its best`
						: ''}
				</li>
			{/each}
		</ul>
	{/if}
	{#if happened.length > 0}
		<h3>What happened</h3>
		<ul>
			{#each happened as words, i (i)}<li>{words}</li>{/each}
		</ul>
	{/if}
	{#if record !== undefined}
		<a class="button" href="/record?evening={encodeURIComponent(record)}">How was it? A minute for the record</a>
	{/if}
</section>

<style>
	section {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-4);
		border-radius: var(--corner);
		background: var(--enamel);
	}
	h3 {
		font-size: var(--text-m);
	}
	li {
		padding: 2px 0;
	}
	a {
		justify-self: start;
		min-height: var(--touch-cook);
		font-weight: 600;
	}
	[data-late='true'] {
		color: var(--alarm);
		font-weight: 600;
	}
</style>
