<!-- Who is in the kitchen, what each does now and next; who leaves, who comes. -->
<script lang="ts">
	import UserMinus from '@lucide/svelte/icons/user-minus';
	import UserPlus from '@lucide/svelte/icons/user-plus';
	import type { Kitchen } from '../../core/model/kitchen';
	import type { Cue } from '../../core/run/cues';
	import { everybody, postsOf } from '../../core/run/posts';
	import type { View } from '../../core/run/view';
	import type { SpokenCue } from '../../core/words/speak';
	import { formatClock } from '../../core/units/time';

	interface Props {
		view: View;
		/** Of the meal that is cooked. */
		kitchen: Kitchen;
		spoken: (cue: Cue) => SpokenCue;
		wallOf: (clock: number) => number;
		/** Whose cues are shown; empty: everybody's. */
		shown: string;
		onshow: (cook: string) => void;
		onleave: (cook: string) => void;
		onback: (cook: string) => void;
		onhelp: () => void;
	}
	const { view, kitchen, spoken, wallOf, shown, onshow, onleave, onback, onhelp }: Props = $props();
	const crew = $derived.by(() => {
		const all = everybody(view, kitchen);
		const posts = postsOf(
			view,
			all.map((e) => e.cook.id)
		);
		const say = (cue: Cue | undefined) => cue && spoken(cue);
		return all.map(({ cook: { id, name }, isHere }, i) => {
			const post = isHere ? posts[i] : undefined;
			return { id, name, isHere, post: post && { lane: post.lane, now: say(post.now), next: say(post.next) } };
		});
	});
	const here = $derived(crew.filter((c) => c.isHere).length);
</script>

<ul>
	{#each crew as { id, name, isHere, post } (id)}
		<li data-away={!isHere}>
			<p class="who">
				<strong>{name}</strong>
				{#if !isHere}<span class="soft">is away</span>{:else if post?.lane}<span class="soft">{post.lane}</span>{/if}
			</p>
			<p class="what">
				{#if post?.now}{post.now.say}{:else if post?.next}<span class="soft"
						>next {formatClock(wallOf(post.next.at))}:</span
					>
					{post.next.say}{:else if isHere}<span class="soft">hands free</span>{/if}
			</p>
			<span class="acts">
				{#if crew.length > 1 && isHere}
					<button
						type="button"
						aria-pressed={shown === id}
						aria-label="Only what {name} does"
						onclick={() => {
							onshow(shown === id ? '' : id);
						}}>{shown === id ? 'Everybody' : 'Only'}</button
					>
				{/if}
				{#if isHere}
					<button
						type="button"
						disabled={here < 2}
						title={here < 2 ? 'Somebody has to stay' : undefined}
						aria-label="{name} leaves"
						onclick={() => {
							onleave(id);
						}}><UserMinus size={20} aria-hidden="true" /> Leaves</button
					>
				{:else}
					<button
						type="button"
						aria-label="{name} is back"
						onclick={() => {
							onback(id);
						}}><UserPlus size={20} aria-hidden="true" /> Back</button
					>
				{/if}
			</span>
		</li>
	{/each}
</ul>
<button class="help" type="button" onclick={onhelp}
	><UserPlus size={20} aria-hidden="true" /> Somebody comes to help</button
>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 0 var(--space-2);
		padding: var(--space-2) 0;
		border-top: 1px solid var(--rim);
	}
	.what {
		grid-column: 1;
		font-size: var(--text-s);
		overflow-wrap: anywhere;
	}
	.acts {
		display: flex;
		grid-row: 1 / span 2;
		grid-column: 2;
		gap: var(--space-1);
		align-items: center;
	}
	[data-away='true'] strong {
		text-decoration: line-through;
	}
	.soft {
		color: var(--ink-soft);
	}
	.help {
		margin-top: var(--space-2);
	}
</style>
