<!-- An oven by its numbers: racks, range, how fast it climbs; and by the thermometer. -->
<script lang="ts">
	import type { Station } from '../../core/model/kitchen';
	import { usualRack } from '../../core/model/stations';
	import Stepper from '../Stepper.svelte';
	import OvenTest from './OvenTest.svelte';

	type Oven = Extract<Station, { kind: 'oven' }>;
	interface Props {
		station: Oven;
		onchange: (station: Oven) => void;
	}
	const { station, onchange }: Props = $props();
</script>

<Stepper
	label="Racks"
	value={station.racks}
	least={1}
	most={10}
	onchange={(racks) => {
		onchange({ ...station, racks });
	}}
/>
<Stepper
	label="Rack, wide"
	value={station.width ?? usualRack.width}
	least={20}
	most={100}
	unit="cm"
	onchange={(width) => {
		onchange({ ...station, width });
	}}
/>
<Stepper
	label="deep"
	value={station.depth ?? usualRack.depth}
	least={20}
	most={80}
	unit="cm"
	onchange={(depth) => {
		onchange({ ...station, depth });
	}}
/>
<Stepper
	label="From"
	value={station.lowest}
	least={30}
	most={station.highest}
	step={10}
	unit="°C"
	onchange={(lowest) => {
		onchange({ ...station, lowest });
	}}
/>
<Stepper
	label="to"
	value={station.highest}
	least={station.lowest}
	most={400}
	step={10}
	unit="°C"
	onchange={(highest) => {
		onchange({ ...station, highest });
	}}
/>
<label class="check"
	><input
		type="checkbox"
		checked={station.fan}
		onchange={(event) => {
			onchange({ ...station, fan: event.currentTarget.checked });
		}}
	/> fan</label
>
<label class="check"
	><input
		type="checkbox"
		checked={station.broiler ?? false}
		onchange={(event) => {
			onchange({ ...station, broiler: event.currentTarget.checked });
		}}
	/> heat from above</label
>
<Stepper
	label="Climbs 1 °C in"
	value={station.rise}
	least={0}
	most={60}
	step={0.5}
	unit="s"
	onchange={(rise) => {
		onchange({ ...station, rise });
	}}
/>
<Stepper
	label="falls in"
	value={station.fall}
	least={0}
	most={120}
	unit="s"
	onchange={(fall) => {
		onchange({ ...station, fall });
	}}
/>
<OvenTest {station} {onchange} />

<style>
	.check {
		display: inline-flex;
		align-items: center;
		gap: var(--space-1);
		min-height: var(--touch);
	}
	input[type='checkbox'] {
		width: 20px;
		height: 20px;
		accent-color: var(--herb-fill);
	}
</style>
