// The record as it is kept: it writes itself when it gets calm, what was said stays, two tabs lose nothing, a full browser is said.
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { CookedEvening } from '../core/record/evening';
import { holding } from '../core/record/evening';
import { DataError } from '../data/database';
import { dataUrlOf, blobOf } from '../data/pictures';
import { Recording } from './recording.svelte';

const evening = (id: string, more: Partial<CookedEvening> = {}): CookedEvening => ({
	format: 'juntos-evening',
	version: 1,
	id,
	meal: 'm',
	name: 'Supper',
	kitchen: 'k',
	date: '2026-06-12',
	zone: 'Europe/Lisbon',
	covers: 4,
	origin: 1,
	courses: [],
	cooks: [],
	lanes: [],
	parts: [],
	steps: [],
	heats: [],
	happened: [],
	said: [],
	...more
});

/** A store of evenings as two tabs share it. */
function shared() {
	const rows = new Map<string, { value: CookedEvening; revision: number }>();
	const blobs = new Map<string, Blob>();
	let isFull = false;
	let names = 0;
	const tab = (by: string) => {
		const errors: string[] = [];
		const told: string[] = [];
		const recording = new Recording({ newId: () => `${by}-${names++}`, by, now: () => names });
		recording.open({
			evenings: {
				list: () => Promise.resolve({ good: [...rows.values()], kept: [] }),
				get: (id) => Promise.resolve(rows.get(id)),
				save: (value, from) => {
					if (isFull) return Promise.reject(new DataError('full', undefined));
					const current = rows.get(value.id);
					if (current && current.revision !== from) return Promise.resolve({ ok: false, theirs: current });
					const revision = from + 1;
					rows.set(value.id, { value, revision });
					return Promise.resolve({ ok: true, revision });
				},
				remove: (id) => {
					rows.delete(id);
					return Promise.resolve();
				}
			},
			pictures: {
				add: (id, _, blob) => {
					blobs.set(id, blob);
					return Promise.resolve();
				},
				get: (id) => Promise.resolve(blobs.get(id))
			},
			tell: (id) => told.push(id),
			onError: (error) => errors.push(error.code)
		});
		return { recording, errors, told };
	};
	return {
		rows,
		tab,
		fill: () => {
			isFull = true;
		}
	};
}

beforeEach(() => {
	vi.useFakeTimers();
});
afterEach(() => {
	vi.useRealTimers();
});
const settled = () => vi.advanceTimersByTimeAsync(5000);

test('an evening is written down when it gets calm, as the log has it then; what was said of it stays', async () => {
	const { rows, tab } = shared();
	const { recording, told } = tab('a');
	await recording.read();
	recording.keepUp(evening('e', { covers: 3 }));
	recording.keepUp(evening('e', { covers: 4 }));
	expect(rows.size).toBe(0);
	await settled();
	expect(rows.get('e')).toMatchObject({ revision: 1, value: { covers: 4 } });
	recording.say('e', { kind: 'note', text: 'more salt' });
	recording.keepUp(evening('e', { covers: 5 }));
	await settled();
	expect(rows.get('e')?.value.covers).toBe(5);
	expect(holding(rows.get('e')!.value)).toMatchObject([{ kind: 'note', text: 'more salt', by: 'a' }]);
	expect(told).toContain('e');
});

test('before the page goes what waits is written down', async () => {
	const { rows, tab } = shared();
	const { recording } = tab('a');
	recording.keepUp(evening('e'));
	recording.flush();
	await vi.advanceTimersByTimeAsync(0);
	expect(rows.has('e')).toBe(true);
	expect(recording.evenings).toHaveLength(1);
});

test('two tabs that speak of one evening lose nothing, and see each other’s', async () => {
	const { rows, tab } = shared();
	const [a, b] = [tab('a'), tab('b')];
	await a.recording.take([evening('e')]);
	await b.recording.read();
	a.recording.say('e', { kind: 'verdict', part: 'p', worth: 4 });
	b.recording.say('e', { kind: 'note', text: 'from the other' });
	await settled();
	expect(rows.get('e')?.value.said).toHaveLength(2);
	await a.recording.hear('e');
	expect(a.recording.evenings[0]?.said).toHaveLength(2);
});

test('an evening that comes a second time is merged, and taken out it is gone', async () => {
	const { rows, tab } = shared();
	const { recording } = tab('a');
	const note = { id: 'n', at: 1, by: 'x', kind: 'note' as const, text: 'once' };
	await recording.take([evening('e', { said: [note] }), evening('f')]);
	await recording.take([evening('e', { said: [note] })]);
	expect(recording.evenings.map((e) => e.id).toSorted()).toEqual(['e', 'f']);
	expect(rows.get('e')?.value.said).toHaveLength(1);
	recording.archive('f', true);
	await settled();
	expect(rows.get('f')?.value.archived).toBe(true);
	await recording.drop(new Set(['e']));
	expect([...rows.keys()]).toEqual(['f']);
});

test('a picture is kept beside its evening, and goes into a file and back as it was', async () => {
	const { tab } = shared();
	const { recording } = tab('a');
	await recording.take([evening('e')]);
	const blob = new Blob([Uint8Array.from([255, 216, 0, 7])], { type: 'image/jpeg' });
	await recording.addPicture('e', blob, 'p');
	const [held] = holding(recording.evenings[0]!);
	expect(held).toMatchObject({ kind: 'picture', part: 'p' });
	const [file] = await recording.picturesOf(recording.evenings);
	expect(file?.data).toBe(await dataUrlOf(blob));
	const back = blobOf(file?.data ?? '');
	expect(back.type).toBe('image/jpeg');
	expect(new Uint8Array(await back.arrayBuffer())).toEqual(new Uint8Array(await blob.arrayBuffer()));
});

test('a browser that is full is said, and what is shown stays', async () => {
	const { tab, fill } = shared();
	const { recording, errors } = tab('a');
	await recording.take([evening('e')]);
	fill();
	recording.say('e', { kind: 'note', text: 'kept as long as the page' });
	await settled();
	expect(errors).toEqual(['full']);
	expect(recording.evenings[0]?.said).toHaveLength(1);
});
