<!-- A question that a recipe leaves open, with what is taken meanwhile, and where it is answered. -->
<script lang="ts">
	import type { Doubt } from '../../core/recipe/read';
	import { sizeIn } from '../../core/recipe/compared';
	import type { StepChange } from '../../state/pasting.svelte';
	import { spreadAbout } from './recipe-times';

	interface Props {
		doubt: Doubt;
		onanswer: (answer: { readonly millimetres?: number; readonly change?: StepChange }) => void;
	}
	const { doubt, onanswer }: Props = $props();

	const fields = {
		thickness: 'in mm, cm or inches',
		celsius: 'in °C',
		seconds: 'as “25 min”'
	} as const;
	let refused = $state('');

	function answer(text: string): void {
		refused = '';
		if (text.trim() === '') return;
		if (doubt.asks === 'thickness') {
			const millimetres = sizeIn(/[a-z"]/i.test(text) ? text : `${text} mm`);
			if (millimetres === undefined) refused = `“${text}” is no thickness: write “25 mm”, “2.5 cm” or “1 in”.`;
			else onanswer({ millimetres });
		} else if (doubt.asks === 'celsius') {
			const celsius = Number(text.replace(/\s*°?\s*c?$/i, ''));
			if (celsius >= 50 && celsius <= 300) onanswer({ change: { celsius } });
			else refused = 'An oven has between 50 and 300 °C.';
		} else {
			const seconds = spreadAbout(text);
			if (typeof seconds === 'string') refused = seconds;
			else onanswer({ change: { seconds } });
		}
	}
</script>

<div class="doubt">
	<span>{doubt.question}{doubt.guess === undefined ? '' : ` Taken as ${doubt.guess}.`}</span>
	{#if doubt.asks}
		<input
			aria-label={doubt.question}
			placeholder={fields[doubt.asks]}
			onchange={(event) => {
				answer(event.currentTarget.value);
			}}
		/>
	{/if}
	{#if doubt.guess !== undefined || !doubt.asks}
		<button
			type="button"
			onclick={() => {
				onanswer({});
			}}>{doubt.guess === undefined ? 'Seen to' : 'That is right'}</button
		>
	{/if}
	{#if refused !== ''}<p role="alert">{refused}</p>{/if}
</div>

<style>
	.doubt {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-1) var(--space-3);
		margin: 0 var(--space-3) var(--space-2) 2.4rem;
		padding: 2px var(--space-2);
		border-radius: 6px;
		background: var(--saffron-wash);
		color: var(--saffron-ink);
		font-size: var(--text-s);
	}
	input {
		width: 11rem;
	}
	[role='alert'] {
		flex-basis: 100%;
		color: var(--alarm);
	}
</style>
