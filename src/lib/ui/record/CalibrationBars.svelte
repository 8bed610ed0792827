<!-- Of the times that were given: how many came sooner, within and later than their band, beside what was promised. -->
<script lang="ts">
	import type { Calibration } from '../../core/record/honesty';

	interface Props {
		items: readonly (Calibration & { readonly say: string })[];
	}
	const { items }: Props = $props();
	const percent = (n: number, of: number) => `${(100 * n) / of}%`;
</script>

<ul>
	{#each items as c (c.kind)}
		<li>
			<p>{c.say}.</p>
			<div class="bar" aria-hidden="true">
				<span class="below" style:width={percent(c.below, c.count)}></span>
				<span class="inside" style:width={percent(c.inside, c.count)}></span>
				<span class="above" style:width={percent(c.above, c.count)}></span>
				<i style:left="10%"></i>
				<i style:left="90%"></i>
			</div>
		</li>
	{/each}
</ul>
<p class="soft">
	Between the two marks is where eight in ten were to lie; left of them what was sooner, right what was later.
</p>

<style>
	ul {
		display: grid;
		gap: var(--space-3);
		width: 100%;
	}
	.bar {
		position: relative;
		display: flex;
		height: 22px;
		margin-top: var(--space-1);
		overflow: hidden;
		border-radius: var(--corner);
	}
	.below {
		background: repeating-linear-gradient(45deg, var(--tone-3) 0 5px, transparent 5px 9px), var(--enamel);
	}
	.inside {
		background: var(--herb-fill);
	}
	.above {
		background: repeating-linear-gradient(-45deg, var(--alarm) 0 5px, transparent 5px 9px), var(--enamel);
	}
	i {
		position: absolute;
		inset-block: 0;
		width: 2px;
		background: var(--ink);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
