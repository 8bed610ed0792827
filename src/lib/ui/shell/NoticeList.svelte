<!-- Messages to the cook: notes go away by themselves, warnings are put away by hand. -->
<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Notice } from '../../state/notices.svelte';

	interface Props {
		notices: readonly Notice[];
		onclose: (id: number) => void;
	}
	const { notices, onclose }: Props = $props();
</script>

<div class="notices" role="status" aria-label="Messages">
	{#each notices as notice (notice.id)}
		<div class="notice" data-kind={notice.kind}>
			<div>
				<p>{notice.text}</p>
				{#if notice.details.length > 0}
					<ul>
						{#each notice.details as detail, i (i)}<li>{detail}</li>{/each}
					</ul>
				{/if}
			</div>
			<button
				type="button"
				aria-label="Put away"
				onclick={() => {
					onclose(notice.id);
				}}><X size={18} /></button
			>
		</div>
	{/each}
</div>

<style>
	.notices {
		position: fixed;
		z-index: 8;
		right: var(--space-4);
		bottom: var(--space-4);
		display: grid;
		gap: var(--space-2);
		width: min(32rem, calc(100vw - 2 * var(--space-4)));
	}
	.notice {
		display: flex;
		align-items: flex-start;
		justify-content: space-between;
		gap: var(--space-2);
		padding: var(--space-2) var(--space-2) var(--space-2) var(--space-4);
		border-left: 6px solid var(--herb-fill);
		border-radius: var(--corner);
		background: var(--iron);
		color: var(--on-iron);
		box-shadow: 0 6px 24px var(--veil);
	}
	.notice[data-kind='warning'] {
		border-color: #ff97a0;
	}
	p {
		padding-top: var(--space-2);
	}
	ul {
		display: grid;
		gap: var(--space-1);
		padding-block: var(--space-1) var(--space-2);
		color: var(--on-iron-soft);
		font-size: var(--text-s);
		overflow-wrap: anywhere;
	}
	button {
		border: 0;
		background: transparent;
	}
	button:hover:not(:disabled) {
		background: #ffffff1f;
	}
	@media (max-width: 900px) {
		.notices {
			bottom: 70px;
		}
	}
</style>
