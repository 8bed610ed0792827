<!-- A button that asks for a Juntos file and hands it on. -->
<script lang="ts">
	import Upload from '@lucide/svelte/icons/upload';

	interface Props {
		label: string;
		/** What the file is, for those who hear the field. */
		what: string;
		onfile: (file: File) => void;
	}
	const { label, what, onfile }: Props = $props();

	let input: HTMLInputElement | undefined = $state();

	function read(event: Event & { currentTarget: HTMLInputElement }): void {
		const field = event.currentTarget;
		const file = field.files?.[0];
		if (!file) return;
		onfile(file);
		field.value = '';
	}
</script>

<button type="button" onclick={() => input?.click()}><Upload size={16} /> {label}</button>
<input
	bind:this={input}
	class="out-of-sight"
	type="file"
	accept=".json,application/json"
	aria-label={what}
	tabindex="-1"
	onchange={read}
/>
