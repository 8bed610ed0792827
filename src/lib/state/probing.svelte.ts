// Probes in what is on: streams that play, what each stream says, and the plan that follows it.
import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import type { PlannedStep } from '../core/model/plan';
import type { Told } from '../core/probe/estimate';
import type { Reading } from '../core/probe/posterior';
import { playing } from '../core/probe/simulate';
import type { ProbeLink } from './probe-link';
import { mayBeProbed, probedAs, readingsIn } from '../core/run/probed';
import type { View } from '../core/run/view';

/** A probe that plays reads this often, seconds. */
const playEvery = 10;
/** The plan follows an estimate that moves by more than this, seconds, and by more than this share of what is left. */
const worth = { seconds: 60, share: 0.05 };

/** What probes need of a run. */
interface Probed {
	readonly view: View;
	readonly now: number;
	readonly speed: number;
	probe(part: string, celsius: number): void;
	late(step: string, seconds: number): void;
}

type Ask = (step: PlannedStep, readings: readonly Reading[], now: number) => Promise<Told | undefined>;

export class Probing {
	/** What each stream says, by step. */
	readonly told = new SvelteMap<string, Told>();
	readonly players = new SvelteMap<string, (seconds: number) => number>();
	/** Steps that stay as they are planned, whatever their probe says. */
	readonly unheeded = new SvelteSet<string>();
	/** Steps that a probe may be in now. */
	readonly steps: readonly PlannedStep[] = $derived.by(() =>
		this.run.view.on.map((o) => o.step).filter((s) => mayBeProbed(s, this.run.view.plan.steps))
	);
	/** Readings that were asked about, by step; those that are being worked out. */
	private readonly asked: Record<string, number> = {};
	private asking: readonly string[] = [];

	/** Whether the server's probe was not to be had: the page plays it. */
	private isOffline = false;
	/** Wireless probes that are listened to, by step: at which speed of the clock, and how to end that. */
	private readonly links = new SvelteMap<string, { readonly speed: number; readonly end: () => void }>();

	constructor(
		private readonly run: Probed,
		private readonly ask: Ask,
		private readonly link?: ProbeLink
	) {}

	readingsOf(step: PlannedStep): readonly Reading[] {
		return readingsIn(step, this.run.view.readings);
	}

	/** A probe that plays, in a step or out of it. */
	play(step: PlannedStep, isOn: boolean): void {
		const food = isOn ? probedAs(step) : undefined;
		if (food) this.players.set(step.id, playing(food, food.medium, step.from));
		else {
			this.players.delete(step.id);
			this.unlink(step.id);
		}
	}

	/** No probe is listened to any more. */
	stop(): void {
		for (const id of this.links.keys()) this.unlink(id);
	}

	private unlink(id: string): void {
		this.links.get(id)?.end();
		this.links.delete(id);
	}

	/** The server's probe for a step that one is in, at the speed of the clock; without a connection the page plays it itself. */
	private listen(step: PlannedStep): void {
		const { speed } = this.run;
		const linked = this.links.get(step.id);
		const food = probedAs(step);
		if (!this.link || !food || linked?.speed === speed) return;
		this.unlink(step.id);
		if (speed === 0) return;
		const asked = { food, seed: Math.round(step.from), from: this.run.now - step.from, speed };
		const end = this.link(
			asked,
			(celsius) => {
				this.run.probe(step.part, Number(celsius.toFixed(1)));
			},
			() => {
				this.links.delete(step.id);
				this.isOffline = true;
			}
		);
		this.links.set(step.id, { speed, end });
	}

	/** Whether the plan follows a step's probe. */
	heed(step: PlannedStep, isHeeded: boolean): void {
		if (isHeeded) this.unheeded.delete(step.id);
		else this.unheeded.add(step.id);
	}

	/** Time has passed: probes that play read on, and what was read is asked about. */
	tick(clock: number): void {
		for (const step of this.steps) {
			const at = clock - step.from;
			const player = this.players.get(step.id);
			if (player && this.link && !this.isOffline) this.listen(step);
			else if (player && at - (this.readingsOf(step).at(-1)?.[0] ?? -Infinity) >= playEvery)
				this.run.probe(step.part, Number(player(at).toFixed(1)));
			this.askAbout(step);
		}
	}

	private askAbout(step: PlannedStep): void {
		const readings = this.readingsOf(step);
		if (readings.length === 0 || this.asked[step.id] === readings.length || this.asking.includes(step.id)) return;
		this.asked[step.id] = readings.length;
		this.asking = [...this.asking, step.id];
		void this.ask(step, readings, this.run.now - step.from).then((answer) => {
			this.asking = this.asking.filter((id) => id !== step.id);
			if (!answer) return;
			this.told.set(step.id, answer);
			this.follow(step.id, answer);
		});
	}

	/** The end of a step goes by its probe, as long as that is not in doubt. */
	private follow(id: string, { left, doubt }: Told): void {
		const step = this.steps.find((s) => s.id === id);
		if (!step || doubt || this.unheeded.has(id) || !Number.isFinite(left.p50)) return;
		const last = this.readingsOf(step).at(-1)?.[0] ?? 0;
		const ends = step.from + last + left.p50;
		const moved = Math.round((ends - step.to) / 15) * 15;
		const remaining = Math.max(0, step.to - this.run.now);
		// Overdue already: the cue is there, and says so.
		if (ends < this.run.now && step.to <= this.run.now) return;
		if (Math.abs(moved) > Math.max(worth.seconds, worth.share * remaining)) this.run.late(id, moved);
	}
}
