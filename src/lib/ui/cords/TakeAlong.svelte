<!-- The plan to take along: on paper, in a calendar, as a table, as a picture. -->
<script lang="ts">
	import CalendarClock from '@lucide/svelte/icons/calendar-clock';
	import Download from '@lucide/svelte/icons/download';
	import Printer from '@lucide/svelte/icons/printer';

	interface Props {
		/** Day of the service, `YYYY-MM-DD`; and the zone that its clock times are of. */
		date: string;
		zone: string;
		oncalendar: (date: string) => void;
		ontable: () => void;
		onpicture: () => void;
	}
	const { date, zone, oncalendar, ontable, onpicture }: Props = $props();
	let chosen: string | undefined = $state();
</script>

<section id="along" aria-label="Take it along">
	<h2>Take it along</h2>
	<div class="row">
		<a class="button" href="/plan/paper"><Printer size={16} /> On paper</a>
		<button type="button" onclick={ontable}><Download size={16} /> Run sheet as CSV</button>
		<button type="button" onclick={onpicture}><Download size={16} /> Cords as SVG</button>
		<span class="calendar">
			<label
				>Day of the service
				<input
					type="date"
					required
					value={chosen ?? date}
					onchange={(event) => {
						chosen = event.currentTarget.value;
					}}
				/>
			</label>
			<button
				type="button"
				disabled={chosen === ''}
				onclick={() => {
					oncalendar(chosen ?? date);
				}}><CalendarClock size={16} /> Calendar with alarms</button
			>
			<span class="soft">in {zone}; a second import moves what was there</span>
		</span>
	</div>
</section>

<style>
	section {
		margin-top: var(--space-4);
	}
	.row,
	.calendar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
	}
	.row {
		margin-top: var(--space-2);
	}
	label {
		display: inline-flex;
		flex-wrap: wrap;
		align-items: center;
		gap: var(--space-2);
	}
	.soft {
		color: var(--ink-soft);
		font-size: var(--text-s);
	}
</style>
