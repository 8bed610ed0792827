<!-- The pass: courses with the minutes to them, and where each part of them is. -->
<script lang="ts">
	import type { PassCourse, PartState } from '../../core/run/pass';
	import { formatClock, formatDuration } from '../../core/units/time';

	interface Props {
		courses: readonly PassCourse[];
		clock: number;
		wallOf: (clock: number) => number;
		partOf: (id: string) => { readonly name: string; readonly tone: number } | undefined;
	}
	const { courses, clock, wallOf, partOf }: Props = $props();

	function say(state: PartState): string {
		switch (state.kind) {
			case 'later':
				return `begins ${formatClock(wallOf(state.at))}`;
			case 'on':
				return `ready ${formatClock(wallOf(state.at))}`;
			case 'ready': {
				const left = state.until - clock;
				if (left >= 60) return `ready, good for ${formatDuration(left)}`;
				return left > -60 ? 'ready, at its best now' : `waits ${formatDuration(-left)} past its best`;
			}
			case 'out':
				return 'out';
		}
	}
	const minutesTo = (at: number) => Math.round((at - clock) / 60);
</script>

{#each courses as { course, name, at, isOut, parts } (course)}
	<section aria-label="{name} at the pass" data-out={isOut}>
		<h3>
			{name}
			<span
				>{isOut
					? 'out'
					: `${formatClock(wallOf(at))}, ${minutesTo(at) >= 0 ? `in ${minutesTo(at)} min` : `${-minutesTo(at)} min ago`}`}</span
			>
		</h3>
		{#if !isOut}
			<ul>
				{#each parts as { part, state } (part)}
					{@const own = partOf(part)}
					<li data-state={state.kind} style:--tone="var(--tone-{own?.tone ?? 0})">
						<span class="knot" aria-hidden="true"></span>
						<strong>{own?.name ?? part}</strong>
						<span class="state" data-late={state.kind === 'ready' && state.until < clock - 60}>{say(state)}</span>
					</li>
				{/each}
			</ul>
		{/if}
	</section>
{/each}

<style>
	section + section {
		margin-top: var(--space-2);
	}
	h3 {
		display: flex;
		justify-content: space-between;
		font-size: var(--text-m);
	}
	h3 span,
	.state {
		color: var(--ink-soft);
		font-weight: 400;
	}
	[data-late='true'] {
		color: var(--alarm);
	}
	li {
		display: grid;
		grid-template-columns: 18px minmax(0, 1fr) auto;
		align-items: center;
		gap: var(--space-2);
		padding: 3px 0;
	}
	.knot {
		width: 16px;
		height: 16px;
		border: 3px solid var(--tone);
		border-radius: 50%;
	}
	[data-state='on'] .knot {
		background: linear-gradient(to top, var(--tone) 50%, transparent 50%);
	}
	[data-state='ready'] .knot {
		background: var(--tone);
	}
</style>
