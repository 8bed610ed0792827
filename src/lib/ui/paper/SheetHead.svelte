<!-- The head of a sheet of paper: what it is, and of which meal. -->
<script lang="ts">
	interface Props {
		name: string;
		under: string;
	}
	const { name, under }: Props = $props();
</script>

<header>
	<h2>{name}</h2>
	<p>{under}</p>
</header>

<style>
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		justify-content: space-between;
		gap: 0 6mm;
		margin-bottom: 3mm;
		border-bottom: 0.6mm solid #000;
	}
	p {
		font-size: 10pt;
	}
</style>
