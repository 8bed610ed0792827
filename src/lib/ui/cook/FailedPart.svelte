<!-- A part that failed, or some of it: again, otherwise, without, or what is left will do; each with what it costs. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import type { Happening } from '../../core/run/events';
	import type { MayFail } from '../../core/run/may-fail';
	import Stepper from '../Stepper.svelte';

	interface Props {
		part: MayFail;
		ontell: (happening: Happening) => void;
		/** What would come of it, in words. */
		onprice: (happening: Happening) => Promise<string>;
	}
	const { part, ontell, onprice }: Props = $props();

	let lost: number | undefined = $state();
	let prices: Readonly<Record<string, string>> = $state.raw({});
	/** What is asked for now: what was asked for before is told no more. */
	let asked = 0;

	const some = $derived(lost !== undefined && lost < part.covers ? { covers: lost } : {});
	const common = $derived({ kind: 'failed', part: part.id, ...some } as const);
	const remedies = $derived<readonly { readonly say: string; readonly happening: Happening }[]>([
		{ say: 'Again, from the start', happening: { ...common, then: 'again' } },
		...part.others.map((o) => ({
			say: `As ${o.name}`,
			happening: { ...common, then: 'otherwise', technique: o.id } as const
		})),
		{ say: 'Without it', happening: { ...common, then: 'without' } }
	]);

	/** One after the other: each price is a plan of the rest. */
	async function price(): Promise<void> {
		prices = {};
		const mine = ++asked;
		for (const { say, happening } of remedies) {
			const words = await onprice(happening);
			if (mine !== asked) return;
			prices = { ...prices, [say]: words };
		}
	}
	onMount(() => {
		void price();
		return () => {
			asked++;
		};
	});
</script>

{#if part.covers > 1}
	<Stepper
		label="For how many"
		value={lost ?? part.covers}
		least={1}
		most={part.covers}
		isWhole
		onchange={(n) => {
			lost = n;
			void price();
		}}
	/>
{/if}
<ul>
	{#each remedies as { say, happening } (say)}
		<li>
			<button
				type="button"
				onclick={() => {
					ontell(happening);
				}}><strong>{say}</strong> <span>{prices[say] ?? 'planning …'}</span></button
			>
		</li>
	{/each}
	<li>
		<button
			type="button"
			onclick={() => {
				ontell(common);
			}}><strong>What is left will do</strong></button
		>
	</li>
</ul>

<style>
	ul {
		display: grid;
		gap: var(--space-2);
		margin-top: var(--space-3);
	}
	button {
		display: flex;
		justify-content: space-between;
		gap: var(--space-3);
		width: 100%;
		min-height: var(--touch-cook);
		font-size: var(--text-l);
	}
	span {
		color: var(--ink-soft);
		font-weight: 400;
	}
</style>
