<!-- Pictures of an evening: taken or chosen, scaled down, kept in the browser. -->
<script lang="ts">
	import type { Attachment } from 'svelte/attachments';
	import ImagePlus from '@lucide/svelte/icons/image-plus';
	import { scaledDown } from '../scaled-picture';

	interface Props {
		pictures: readonly { readonly id: string; readonly of: string }[];
		/** The blob of a picture, by its name. */
		load: (id: string) => Promise<Blob | undefined>;
		/** Absent: none is added here. */
		onadd?: (picture: Blob) => void;
	}
	const { pictures, load, onadd }: Props = $props();

	let input: HTMLInputElement | undefined = $state();
	let trouble = $state('');

	/** Shown as long as it is on the page. */
	function shows(id: string): Attachment<HTMLImageElement> {
		return (node) => {
			let url: string | undefined;
			let isGone = false;
			void load(id).then((blob) => {
				if (isGone || !blob) return;
				url = URL.createObjectURL(blob);
				node.src = url;
			});
			return () => {
				isGone = true;
				if (url !== undefined) URL.revokeObjectURL(url);
			};
		};
	}

	async function add(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
		const field = event.currentTarget;
		const file = field.files?.[0];
		field.value = '';
		if (!file) return;
		try {
			onadd?.(await scaledDown(file));
			trouble = '';
		} catch {
			trouble = `“${file.name}” is no picture that this browser can read. Choose a JPEG, PNG or WebP.`;
		}
	}
</script>

<div>
	{#each pictures as p (p.id)}
		<figure>
			<img {@attach shows(p.id)} alt="Picture: {p.of}" />
			<figcaption>{p.of}</figcaption>
		</figure>
	{/each}
	{#if onadd}
		<button type="button" onclick={() => input?.click()}
			><ImagePlus size={18} aria-hidden="true" /> Add a picture</button
		>
		<input
			bind:this={input}
			class="out-of-sight"
			type="file"
			accept="image/*"
			aria-label="Picture of the evening"
			tabindex="-1"
			onchange={(event) => void add(event)}
		/>
	{/if}
</div>
{#if trouble !== ''}<p role="alert">{trouble}</p>{/if}

<style>
	div {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: var(--space-2);
	}
	img {
		display: block;
		width: 11rem;
		height: 8rem;
		object-fit: cover;
		border-radius: var(--corner);
		background: var(--enamel-2);
	}
	figcaption {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
	[role='alert'] {
		color: var(--alarm);
	}
</style>
