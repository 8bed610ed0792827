<!-- Hands that are free: for how long, what could be begun now, and what to lay ready for what cannot be left. -->
<script lang="ts">
	import { formatCount, formatDuration } from '../../core/units/time';

	interface Props {
		/** Seconds until hands are wanted again; absent: never again. */
		free: number | undefined;
		/** Steps that could be begun now, in words. */
		offers: readonly { readonly step: string; readonly say: string; readonly part: string; readonly hands: number }[];
		/** What cannot be left once it is begun, and is near, with what has to stand ready. */
		ahead: readonly {
			readonly step: string;
			readonly say: string;
			readonly in: number;
			readonly ready: readonly string[];
		}[];
		/** Said where there is nothing else to say. */
		calm: string;
		ontake: (step: string) => void;
	}
	const { free, offers, ahead, calm, ontake }: Props = $props();
	let ticked: readonly string[] = $state.raw([]);
</script>

<div class="idle">
	{#if free !== undefined}
		<p class="free">Hands free for <strong>{formatCount(free)}</strong></p>
	{/if}
	{#if offers.length > 0}
		<h3>Could be done now</h3>
		<ul>
			{#each offers as { step, say, part, hands } (step)}
				<li>
					<span>{say} <span class="soft">{part} · {formatDuration(hands)} of hands</span></span>
					<button
						type="button"
						aria-label="Begin now: {say}"
						onclick={() => {
							ontake(step);
						}}>Begin now</button
					>
				</li>
			{/each}
		</ul>
	{:else if ahead.length === 0}<p class="calm">{calm}</p>{/if}
	{#each ahead as { step, say, in: seconds, ready } (step)}
		<fieldset>
			<legend>Lay ready for “{say}” in {formatCount(seconds)}: once begun it cannot be left</legend>
			{#each ready as thing, i (i)}
				{@const key = `${step} ${i}`}
				<label
					><input
						type="checkbox"
						checked={ticked.includes(key)}
						onchange={() => {
							ticked = ticked.includes(key) ? ticked.filter((k) => k !== key) : [...ticked, key];
						}}
					/>
					{thing}</label
				>
			{/each}
		</fieldset>
	{/each}
</div>

<style>
	.idle {
		display: grid;
		gap: var(--space-2);
		padding: var(--space-4);
		border-radius: var(--corner);
		background: var(--herb-wash);
		color: var(--herb);
	}
	.free {
		font-size: var(--text-xl);
	}
	.calm {
		font-size: var(--text-l);
	}
	h3 {
		font-size: var(--text-m);
	}
	ul {
		display: grid;
		gap: var(--space-2);
	}
	li {
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: var(--space-3);
		color: var(--ink);
		font-size: var(--text-l);
	}
	li button {
		flex: none;
		min-height: var(--touch-cook);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0 var(--space-4);
		margin: 0;
		padding: var(--space-1) var(--space-3);
		border: 1px solid var(--rim);
		border-radius: var(--corner);
		color: var(--ink);
	}
	label {
		display: inline-flex;
		align-items: center;
		gap: var(--space-2);
		min-height: var(--touch-cook);
		font-size: var(--text-l);
	}
	input {
		width: 28px;
		height: 28px;
		accent-color: var(--herb-fill);
	}
</style>
