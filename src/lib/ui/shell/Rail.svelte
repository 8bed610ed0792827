<!-- The iron rail along the top, from which the places hang; on a phone it lies at the bottom. -->
<script lang="ts">
	import Moon from '@lucide/svelte/icons/moon';
	import MoonStar from '@lucide/svelte/icons/moon-star';
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Search from '@lucide/svelte/icons/search';
	import Sun from '@lucide/svelte/icons/sun';
	import SunMoon from '@lucide/svelte/icons/sun-moon';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import type { Theme } from '../../state/theme.svelte';
	import { places } from './places';

	interface Props {
		/** Path of the view that is open. */
		path: string;
		theme: Theme;
		canUndo: boolean;
		canRedo: boolean;
		onundo: () => void;
		onredo: () => void;
		onfind: () => void;
		ontheme: (theme: Theme) => void;
	}
	const { path, theme, canUndo, canRedo, onundo, onredo, onfind, ontheme }: Props = $props();

	const themes = {
		auto: { next: 'light', name: 'as the device has it', icon: SunMoon },
		light: { next: 'dark', name: 'light', icon: Sun },
		dark: { next: 'dim', name: 'dark', icon: Moon },
		dim: { next: 'auto', name: 'dim, for a kitchen with the lamps low', icon: MoonStar }
	} as const;
	const ThemeIcon = $derived(themes[theme].icon);
</script>

<header class="rail">
	<a class="mark" href="/plan">juntos</a>
	<nav aria-label="Places">
		{#each places as place (place.path)}
			{@const Icon = place.icon}
			<a href={place.path} aria-current={path.startsWith(place.path) ? 'page' : undefined}>
				<Icon size={18} aria-hidden="true" />
				{place.name}
			</a>
		{/each}
	</nav>
	<div class="tools">
		<button type="button" onclick={onundo} disabled={!canUndo} aria-label="Undo" title="Undo (Ctrl+Z)"
			><Undo2 size={18} /></button
		>
		<button type="button" onclick={onredo} disabled={!canRedo} aria-label="Redo" title="Redo (Ctrl+Shift+Z)"
			><Redo2 size={18} /></button
		>
		<button type="button" onclick={onfind} aria-label="Find anything" title="Find anything (Ctrl+K)"
			><Search size={18} /></button
		>
		<button
			type="button"
			onclick={() => {
				ontheme(themes[theme].next);
			}}
			aria-label="Theme: {themes[theme].name}. Change to {themes[themes[theme].next].name}"
			title="Theme: {themes[theme].name}"
		>
			<ThemeIcon size={18} />
		</button>
	</div>
</header>

<style>
	.rail {
		display: flex;
		align-items: flex-start;
		gap: var(--space-5);
		padding: 0 var(--space-5);
		border-top: 9px solid var(--iron);
	}
	.mark {
		padding-top: var(--space-2);
		font-size: 1.6rem;
		font-weight: 800;
		letter-spacing: -0.03em;
		text-decoration: none;
	}
	nav {
		display: flex;
		gap: var(--space-2);
	}
	nav a {
		position: relative;
		display: inline-flex;
		align-items: center;
		gap: var(--space-2);
		min-height: var(--touch);
		padding: 0 var(--space-4);
		border-radius: 0 0 var(--corner) var(--corner);
		background: var(--iron);
		color: var(--on-iron-soft);
		text-decoration: none;
		transition: padding var(--quick);
	}
	nav a:hover {
		color: var(--on-iron);
	}
	nav a[aria-current='page'] {
		padding-block: 7px 5px;
		color: var(--on-iron);
		font-weight: 700;
		box-shadow: inset 0 -4px 0 var(--copper-fill);
	}
	.tools {
		display: flex;
		gap: var(--space-1);
		margin-left: auto;
		padding-top: 2px;
	}
	.tools button {
		border-color: transparent;
		background: transparent;
		padding: 0;
	}
	@media (max-width: 900px) {
		.rail {
			padding: 0 var(--space-3);
		}
		nav {
			position: fixed;
			z-index: 5;
			inset: auto 0 0;
			gap: 0;
			background: var(--iron);
			padding-bottom: env(safe-area-inset-bottom);
		}
		nav a {
			flex: 1;
			flex-direction: column;
			justify-content: center;
			gap: 0;
			min-height: 58px;
			padding: 0;
			border-radius: 0;
			font-size: var(--text-s);
		}
		nav a[aria-current='page'] {
			padding: 0;
			box-shadow: inset 0 4px 0 var(--copper-fill);
		}
	}
</style>
