<!-- The shell around every view: the rail, the keys, the messages; starts and ends the application's state. -->
<script lang="ts">
	import '@fontsource-variable/atkinson-hyperlegible-next';
	import '$lib/ui/tokens.css';
	import '$lib/ui/base.css';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, untrack, type Snippet } from 'svelte';
	import { App, setApp } from '$lib/state/app.svelte';
	import { ThemeChoice } from '$lib/state/theme.svelte';
	import type { Found } from '$lib/ui/shell/Finder.svelte';
	import KeysHelp from '$lib/ui/shell/KeysHelp.svelte';
	import NoticeList from '$lib/ui/shell/NoticeList.svelte';
	import { places } from '$lib/ui/shell/places';
	import Rail from '$lib/ui/shell/Rail.svelte';
	import { setUnits, unitsOf } from '$lib/ui/units';
	import type { LayoutData } from './$types';

	interface Props {
		data: LayoutData;
		children: Snippet;
	}
	const { data, children }: Props = $props();

	const app = setApp(new App(untrack(() => data.plan)));
	setUnits(unitsOf(() => app.measure.now));
	const theme = new ThemeChoice();
	let isHelpOpen = $state(false);
	let isFinding = $state(false);
	/** When `g` was pressed, milliseconds. */
	let goSince = 0;

	onMount(() => {
		theme.start();
		void app.start();
		if (import.meta.env.PROD && 'serviceWorker' in navigator) {
			void navigator.serviceWorker.register('/service-worker.js', { type: 'module' });
		}
		return () => {
			app.stop();
		};
	});

	const pages = [
		{ path: '/plan/paper', name: 'On paper: print run sheet, stations, shopping, bowls' },
		{ path: '/plan#along', name: 'Calendar with alarms (iCalendar)' },
		{ path: '/plan#along', name: 'Run sheet as CSV' },
		{ path: '/plan#along', name: 'Cords as SVG' },
		{ path: '/menu/amounts', name: 'Shopping and bowls as CSV' },
		{ path: '/menu/paste', name: 'Paste a recipe' },
		{ path: '/menu#files', name: 'Save as a recipe (JSON-LD), copy a link, export' },
		{ path: '/menu/backup', name: 'Backup: everything in one file' }
	];

	const things = $derived<Found[]>([
		...places.map((p) => ({ id: p.path, name: p.name, kind: 'place', go: () => void goto(p.path) })),
		...pages.map((p) => ({ id: `page ${p.name}`, name: p.name, kind: 'page', go: () => void goto(p.path) })),
		...app.meals.map((m) => ({
			id: `meal ${m.id}`,
			name: m.name,
			kind: 'meal',
			go: () => {
				app.openMeal(m.id);
				void goto('/menu');
			}
		})),
		...app.meal.parts.map((p) => ({
			id: `part ${p.id}`,
			name: p.name,
			kind: 'part',
			go: () => void goto(`/menu#${p.id}`)
		})),
		...app.planning.spoken.steps.map((s) => ({
			id: `step ${s.id}`,
			name: s.say,
			kind: 'step',
			go: () => void goto(`/plan?step=${encodeURIComponent(s.id)}`)
		}))
	]);

	function key(event: KeyboardEvent): void {
		const { target } = event;
		const isTyping =
			target instanceof HTMLElement && target.matches('input:not([type=range]), textarea, select, [contenteditable]');
		const isCommand = event.ctrlKey || event.metaKey;
		const pressed = event.key.toLowerCase();
		if (isCommand && pressed === 'k') {
			event.preventDefault();
			isFinding = true;
		} else if (isCommand && !isTyping && (pressed === 'z' || pressed === 'y')) {
			event.preventDefault();
			if (pressed === 'y' || event.shiftKey) app.redo();
			else app.undo();
		} else if (!isTyping && !isCommand && !event.altKey) {
			const place = event.timeStamp - goSince < 1500 ? places.find((p) => p.key === pressed) : undefined;
			goSince = pressed === 'g' ? event.timeStamp : 0;
			if (place) void goto(place.path);
			else if (event.key === '?') isHelpOpen = true;
		}
	}
</script>

<svelte:window
	onkeydown={key}
	onpagehide={() => {
		app.flush();
	}}
/>
<svelte:document
	onvisibilitychange={() => {
		if (document.visibilityState === 'hidden') app.flush();
	}}
/>
<svelte:head
	><title>{places.find((p) => page.url.pathname.startsWith(p.path))?.name ?? 'Juntos'} · Juntos</title></svelte:head
>

<a class="skip" href="#main">To the content</a>
<Rail
	path={page.url.pathname}
	theme={theme.now}
	canUndo={app.history.canUndo}
	canRedo={app.history.canRedo}
	onundo={() => {
		app.undo();
	}}
	onredo={() => {
		app.redo();
	}}
	onfind={() => {
		isFinding = true;
	}}
	ontheme={(t) => {
		theme.choose(t);
	}}
/>
{#if app.clash}
	<div class="clash" role="alert">
		<p>
			<strong>“{app.clash.name}” was changed in another tab too.</strong> Which one stays? The other can be undone.
		</p>
		<button
			type="button"
			onclick={() => {
				app.settleClash('mine');
			}}>Keep mine</button
		>
		<button
			type="button"
			onclick={() => {
				app.settleClash('theirs');
			}}>Take the other</button
		>
	</div>
{/if}
<main id="main" data-ready={app.isReady}>
	{@render children()}
</main>
<NoticeList
	notices={app.notices.list}
	onclose={(id) => {
		app.notices.close(id);
	}}
/>
<KeysHelp
	isOpen={isHelpOpen}
	onclose={() => {
		isHelpOpen = false;
	}}
/>
{#if isFinding}
	{#await import('$lib/ui/shell/Finder.svelte') then { default: Finder }}
		<Finder
			{things}
			onclose={() => {
				isFinding = false;
			}}
		/>
	{/await}
{/if}

<style>
	main {
		max-width: 1600px;
		margin: 0 auto;
		padding: var(--space-4) var(--space-5) var(--space-6);
	}
	.skip {
		position: absolute;
		left: var(--space-4);
		top: -4rem;
		padding: var(--space-2) var(--space-4);
		background: var(--enamel);
	}
	.skip:focus {
		top: var(--space-4);
		z-index: 9;
	}
	.clash {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-3);
		margin: var(--space-3) var(--space-5) 0;
		padding: var(--space-3) var(--space-4);
		border-left: 6px solid var(--alarm);
		border-radius: var(--corner);
		background: var(--alarm-wash);
	}
	@media (max-width: 900px) {
		main {
			padding: var(--space-3) var(--space-3) 84px;
		}
	}
</style>
