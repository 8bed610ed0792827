<!-- Another way to make a part, and what it would do to the plan, before it is taken. -->
<script lang="ts">
	import type { Plan } from '../../core/model/plan';
	import type { Technique } from '../../core/model/technique';
	import { compared } from '../../core/plan/advise/compared';
	import { formatDuration } from '../../core/units/time';
	import type { WaysProps } from './ways';

	const { part, technique, others, plan, onpreview, ontake }: WaysProps = $props();

	let looked: { readonly technique: Technique; readonly found: Promise<Plan | readonly string[]> } | undefined =
		$state.raw();
	const signed = (seconds: number, words: string) =>
		Math.abs(seconds) < 30
			? `no change in ${words}`
			: `${formatDuration(Math.abs(seconds))} ${seconds > 0 ? 'more' : 'less'} ${words}`;
</script>

<fieldset>
	<legend>Other ways</legend>
	<ul>
		{#each others as other (other.id)}
			<li>
				<button
					type="button"
					aria-pressed={looked?.technique.id === other.id}
					disabled={other.id === technique.id}
					onclick={() => {
						looked = { technique: other, found: onpreview(other) };
					}}>{other.name}{other.id === technique.id ? ' (now)' : ''}</button
				>
			</li>
		{/each}
	</ul>
	{#if looked}
		{@const { technique: way, found } = looked}
		<div class="found" role="status">
			<p><strong>{part.name} as “{way.name}”.</strong> {way.about ?? ''}</p>
			{#await found}
				<p>Planning it …</p>
			{:then result}
				{#if 'steps' in result}
					{@const difference = compared(plan, result, part.id)}
					<ul>
						<li>{signed(difference.evening, 'of the evening')}</li>
						<li>{signed(difference.hands, 'of hands')}</li>
						<li>{signed(difference.waiting, 'of waiting at the pass')}</li>
						{#if difference.late > 0}<li class="bad">{formatDuration(difference.late)} late</li>{/if}
						{#if difference.gives.length > 0}<li>leaves {difference.gives.join(', ')} alone</li>{/if}
						{#if difference.takes.length > 0}<li>takes {difference.takes.join(', ')}</li>{/if}
					</ul>
				{:else}
					{#each result as why, i (i)}<p class="bad">{why}</p>{/each}
				{/if}
			{/await}
			<button
				type="button"
				onclick={() => {
					ontake(way);
					looked = undefined;
				}}>Make it so</button
			>
		</div>
	{/if}
</fieldset>

<style>
	fieldset {
		margin: 0;
		padding: var(--space-2);
		border: 1px solid var(--rim);
		border-radius: var(--corner);
	}
	legend {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-1) var(--space-2);
	}
	button[aria-pressed='true'] {
		border-color: var(--ink);
		font-weight: 700;
	}
	.found {
		display: grid;
		justify-items: start;
		gap: var(--space-2);
		margin-top: var(--space-2);
		padding: var(--space-2) var(--space-3);
		border-left: 6px solid var(--saffron);
		background: var(--saffron-wash);
	}
	.found li {
		padding-right: var(--space-2);
	}
	.found li + li {
		padding-left: var(--space-3);
		border-left: 1px solid var(--rim);
	}
	.bad {
		color: var(--alarm);
	}
</style>
