<!-- The clock of the run, minutes to service, and the speed of the demo clock. -->
<script lang="ts">
	import Pause from '@lucide/svelte/icons/pause';
	import SkipForward from '@lucide/svelte/icons/skip-forward';
	import type { Plan } from '../../core/model/plan';
	import { formatClock, formatCount, formatDuration } from '../../core/units/time';

	interface Props {
		clock: number;
		plan: Plan;
		/** Seconds after its planned instant that each course will be, by course. */
		late: ReadonlyMap<string, number>;
		/** Courses that are out. */
		served: ReadonlySet<string>;
		/** Seconds until hands are wanted; absent: now, or not any more. */
		free: number | undefined;
		/** What clocks show at a time of the plan. */
		wallOf: (clock: number) => number;
		speed: number;
		isLive: boolean;
		onspeed: (speed: number) => void;
		onskip: () => void;
		onlive: () => void;
	}
	const { clock, plan, late, served, free, wallOf, speed, isLive, onspeed, onskip, onlive }: Props = $props();

	const speeds = [1, 10, 60];
	/** The plan is as it will go: what is late is so in its services already. */
	const next = $derived(plan.services.find((s) => !served.has(s.course)) ?? plan.services.at(-1));
	const by = $derived(next ? (late.get(next.course) ?? 0) : 0);
	const toGo = $derived(next ? next.at - clock : 0);
</script>

<section class="bar" aria-label="Clock">
	<p class="clock" aria-hidden="true">{formatClock(wallOf(clock), true)}</p>
	<p class="out-of-sight" role="timer">{formatClock(wallOf(clock))}</p>
	<div class="service">
		{#if next}
			<p class="count">{toGo >= 0 ? '−' : '+'}{formatCount(toGo)}</p>
			<p>
				to {next.name.toLowerCase()}, {formatClock(wallOf(next.at))}
				{#if by >= 60}<strong class="late">{formatDuration(by)} late</strong>{/if}
			</p>
		{/if}
	</div>
	{#if free !== undefined && free < 4 * 3600}
		<div class="service">
			<p class="count">{formatCount(free)}</p>
			<p>until hands are wanted</p>
		</div>
	{/if}
	<div class="speeds" role="group" aria-label="Demo clock">
		<span>{isLive ? 'Wall clock' : 'Demo clock'}</span>
		<button
			type="button"
			aria-label="Stop the clock"
			aria-pressed={speed === 0}
			onclick={() => {
				onspeed(0);
			}}><Pause size={20} /></button
		>
		{#each speeds as times (times)}
			<button
				type="button"
				aria-pressed={!isLive && speed === times}
				onclick={() => {
					onspeed(times);
				}}>{times}×</button
			>
		{/each}
		<button type="button" aria-label="To the next cue" title="To the next cue" onclick={onskip}
			><SkipForward size={20} /></button
		>
		<button type="button" aria-pressed={isLive} onclick={onlive}>Live</button>
	</div>
</section>

<style>
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-2) var(--space-5);
	}
	.clock {
		font-size: var(--text-clock);
		font-weight: 800;
		line-height: 1;
		letter-spacing: -0.02em;
	}
	.service {
		flex: 1;
		color: var(--ink-soft);
	}
	.count {
		color: var(--ink);
		font-size: var(--text-xl);
		font-weight: 700;
		line-height: 1.1;
	}
	.late {
		color: var(--alarm);
	}
	.speeds {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1);
	}
	.speeds span {
		margin-right: var(--space-1);
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	.speeds button {
		min-height: 52px;
		min-width: 52px;
		padding: 0 var(--space-2);
	}
	.speeds button[aria-pressed='true'] {
		border-color: var(--ink);
		background: var(--ink);
		color: var(--enamel);
	}
	@media (max-width: 560px) {
		.speeds {
			width: 100%;
			justify-content: space-between;
		}
		.speeds span {
			display: none;
		}
	}
</style>
