<!-- What a cook has to know of the run besides its cues: another plan on the table, what a replan moved, what went wrong. -->
<script lang="ts">
	interface Props {
		/** The meal that is cooked. */
		cooked: string;
		/** The meal that is open, where it is another, and whether it is planned. */
		open: { readonly name: string; readonly isPlanned: boolean } | undefined;
		hasBegun: boolean;
		/** Why there is no plan of the meal as it is now; empty where there is one, or it is being sought. */
		problems: readonly string[];
		/** The plan has changed since the run began. */
		isChanged: boolean;
		trouble: string | undefined;
		moved: string;
		/** Why it was planned anew; empty where there is nothing to say. */
		reason: string;
		/** Why it goes on as before; empty where there is nothing to say. */
		held: string;
		isReplanning: boolean;
		onrestart: () => void;
		oninstead: () => void;
		onrefuse: () => void;
		onpin: () => void;
	}
	const {
		cooked,
		open,
		hasBegun,
		problems,
		isChanged,
		trouble,
		moved,
		reason,
		held,
		isReplanning,
		onrestart,
		oninstead,
		onrefuse,
		onpin
	}: Props = $props();
</script>

{#if open}
	<p>
		{hasBegun ? `${cooked} is being cooked.` : `This is the plan of ${cooked}.`}
		{open.isPlanned ? `${open.name} is open, and planned.` : `${open.name} has no plan yet: look at the Menu.`}
	</p>
{/if}
{#if problems.length > 0 && open === undefined}
	<p class="none" role="alert">
		{hasBegun
			? 'The meal was changed, and there is no plan of it as it is now. What is cooked here is the plan before that change.'
			: 'There is no plan of the meal as it is now: what stands here is the plan before the last change. Do not begin with it.'}
		<span>{problems[0]}</span>
		<a href="/plan">See what would do</a>
	</p>
{/if}
{#if isChanged}
	<p>
		The plan has changed since this run began.
		<button type="button" onclick={onrestart}>Begin again with the new plan</button>
	</p>
{/if}
<div role="status">
	{#if trouble}<p>{trouble}</p>{/if}
	{#if moved !== ''}
		<p class="moved">
			<span
				>Replanned: {moved}.{#if reason !== ''}&nbsp;Because {reason}.{/if}</span
			>
		</p>
	{:else if held !== ''}<p class="moved"><span>{held}</span></p>
	{:else if reason !== ''}<p class="moved"><span>Because {reason}: nothing else has to move.</span></p>{/if}
</div>
{#if moved === '' && held !== ''}
	<div class="answer"><button type="button" onclick={oninstead}>Plan anew all the same</button></div>
{/if}
{#if moved !== '' && !isReplanning}
	<div class="answer">
		<button type="button" onclick={onrefuse}>Keep it as it was</button>
		<button type="button" onclick={onpin}>Good, and leave these where they are</button>
	</div>
{/if}

<style>
	p {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-3);
		margin-top: var(--space-3);
		padding: var(--space-2) var(--space-4);
		border-left: 6px solid var(--saffron);
		border-radius: var(--corner);
		background: var(--saffron-wash);
	}
	.answer {
		display: flex;
		flex-wrap: wrap;
		gap: var(--space-2);
		margin-top: var(--space-1);
	}
	.answer button {
		min-height: var(--touch-cook);
	}
	.none {
		border-color: var(--alarm);
		background: var(--alarm-wash);
	}
</style>
