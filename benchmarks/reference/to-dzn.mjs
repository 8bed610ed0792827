#!/usr/bin/env node
// juntos-problem JSON -> MiniZinc data for juntos.mzn:  node to-dzn.mjs problem.json > problem.dzn
// Times are divided by their gcd (exact: the constraints are difference constraints, the objective
// piecewise linear, both with all constants on that grid). `unit` is that gcd.
import { readFileSync, realpathSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const gcd = (a, b) => (b ? gcd(b, a % b) : Math.abs(a));
const change = (state, a, b) => (b > a ? state.rise * (b - a) : state.fall * (a - b));

export function toDzn(p) {
	const tasks = p.tasks,
		nT = tasks.length;
	const T = new Map(tasks.map((t, i) => [t.id, i]));
	const R = new Map((p.resources ?? []).map((r, i) => [r.id, i]));
	const V = new Map(p.services.map((s, i) => [s.id, i]));
	const states = new Map((p.states ?? []).map((s) => [s.id, s]));
	const lags = p.lags ?? [],
		serve = p.serve ?? [],
		holds = p.holds ?? [],
		wants = p.wants ?? [],
		ties = p.ties ?? [];
	const labels = [...new Set(tasks.flatMap((t) => t.modes.map((m) => m.at)).concat(holds.map((h) => h.at)))].filter(
		(x) => x !== undefined
	);
	const place = (x) => (x.at === undefined ? 0 : labels.indexOf(x.at) + 1);

	// State exclusions: pairs of modes with different values of one state.
	const pairs = [],
		ready = [];
	for (let a = 0; a < nT; a++)
		tasks[a].modes.forEach((m, i) => {
			if (!m.state) return;
			const state = states.get(m.state.id),
				r = change(state, state.initial, m.state.value);
			if (r > 0) ready.push([a, i, r]);
			for (let b = a + 1; b < nT; b++)
				tasks[b].modes.forEach((n, j) => {
					if (n.state?.id !== state.id || n.state.value === m.state.value) return;
					pairs.push([
						a,
						b,
						i,
						j,
						change(state, m.state.value, n.state.value),
						change(state, n.state.value, m.state.value)
					]);
				});
		});

	// Choices: to which choice and option a task belongs.
	const choices = p.choices ?? [],
		optional = new Array(nT).fill(null);
	choices.forEach((c, i) =>
		c.options.forEach((o, k) =>
			o.tasks.forEach((id) => {
				optional[T.get(id)] = [i + 1, k + 1];
			})
		)
	);
	const firm = (l) => !optional[T.get(l.from)] && !optional[T.get(l.to)];

	// The unit of time (an option's cost has to be a whole number of it too).
	const times = [
		p.horizon,
		...p.services.map((s) => s.due),
		...pairs.flatMap((x) => x.slice(4)),
		...ready.map((x) => x[2])
	];
	for (const t of tasks) {
		times.push(t.release ?? 0, t.fixed?.start ?? 0);
		for (const m of t.modes) {
			times.push(m.duration);
			for (const u of m.uses ?? []) times.push(u.from ?? 0, u.to ?? m.duration);
		}
	}
	for (const l of lags) times.push(l.min, l.max ?? 0);
	for (const s of serve) times.push(s.offset, s.free, s.max ?? 0);
	for (const w of wants) times.push(w.by);
	for (const c of choices) for (const o of c.options) times.push(o.cost);
	const unit = times.reduce(gcd, 0) || 1;
	const H = p.horizon / unit;

	// Bounds of starts from lags, by fixpoint.
	const dur = tasks.map((t) => t.modes.map((m) => m.duration / unit));
	const minD = dur.map((d) => Math.min(...d)),
		maxD = dur.map((d) => Math.max(...d));
	const est = tasks.map((t) => (t.release ?? 0) / unit),
		lst = tasks.map((_, i) => H - minD[i]);
	for (const s of serve) {
		const t = T.get(s.task);
		if (optional[t]) continue;
		lst[t] = Math.min(lst[t], H - s.offset / unit - minD[t]);
	}
	for (let round = 0, moved = true; moved && round <= nT; round++) {
		moved = false;
		const up = (i, v) => {
			if (v > est[i]) {
				est[i] = v;
				moved = true;
			}
		};
		const down = (i, v) => {
			if (v < lst[i]) {
				lst[i] = v;
				moved = true;
			}
		};
		for (const l of lags) {
			if (!firm(l)) continue;
			const a = T.get(l.from),
				b = T.get(l.to),
				min = l.min / unit;
			up(b, est[a] + minD[a] + min);
			down(a, lst[b] - min - minD[a]);
			if (l.max === undefined) continue;
			up(a, est[b] - l.max / unit - maxD[a]);
			down(b, lst[a] + maxD[a] + l.max / unit);
		}
	}
	/** Longest way by minimal lags from start(a) to end(b), or -Infinity. */
	const reach = (a, b) => {
		const at = new Array(nT).fill(-Infinity);
		at[a] = 0;
		for (let round = 0, moved = true; moved && round <= nT; round++) {
			moved = false;
			for (const l of lags) {
				if (!firm(l)) continue;
				const i = T.get(l.from),
					j = T.get(l.to),
					v = at[i] + minD[i] + l.min / unit;
				if (v > at[j]) {
					at[j] = v;
					moved = true;
				}
			}
		}
		return at[b] + minD[b];
	};

	// Uses, the k-th of a resource in each mode merged to one item whose figures depend on the mode.
	const uses = [];
	tasks.forEach((t, i) => {
		for (const [r, ri] of R) {
			const lists = t.modes.map((m) =>
				(m.uses ?? [])
					.filter((u) => u.resource === r)
					.map((u) => {
						const from = u.from ?? 0,
							to = u.to ?? m.duration;
						return { from: from / unit, dur: (to - from) / unit, amount: u.amount };
					})
					.sort((x, y) => x.from - y.from)
			);
			for (let k = 0; k < Math.max(...lists.map((x) => x.length)); k++) {
				const some = lists.find((x) => x[k])[k];
				uses.push({ t: i, r: ri, per: lists.map((x) => x[k] ?? { ...some, amount: 0 }) });
			}
		}
	});

	const maxModes = Math.max(1, ...tasks.map((t) => t.modes.length));
	const pad = (list, f) => Array.from({ length: maxModes }, (_, m) => f(list[Math.min(m, list.length - 1)]));
	const big = 10 * (H + 1) + 100000;
	const order = tasks.map((_, i) => i).sort((a, b) => lst[b] - lst[a]);
	const rank = [];
	order.forEach((t, k) => {
		rank[t] = k + 1;
	});

	const maxOpt = Math.max(1, ...choices.map((c) => c.options.length));
	const arr = (name, list) => `${name} = [${list.join(', ')}];`;
	const mat = (name, rows) => `${name} = array2d(1..${rows.length}, 1..${maxModes}, [${rows.flat().join(', ')}]);`;
	const dzn =
		[
			`H = ${H}; wSlip = ${p.weights.slip}; wSpan = ${p.weights.span}; big = ${big}; maxModes = ${maxModes};`,
			`nV = ${V.size}; nT = ${nT}; nL = ${lags.length}; nR = ${R.size}; nU = ${uses.length}; nO = ${holds.length};`,
			`nS = ${pairs.length}; nI = ${ready.length}; nP = ${serve.length}; nK = ${ties.length};`,
			arr(
				'due',
				p.services.map((s) => s.due / unit)
			),
			arr(
				'nModes',
				tasks.map((t) => t.modes.length)
			),
			mat(
				'dur',
				dur.map((d) => pad(d, (x) => x))
			),
			arr('est', est),
			arr('lst', lst),
			arr(
				'ahead',
				tasks.map((t) => !!t.ahead)
			),
			arr(
				'fixStart',
				tasks.map((t) => (t.fixed ? t.fixed.start / unit : -1))
			),
			arr(
				'fixMode',
				tasks.map((t) => (t.fixed ? t.fixed.mode + 1 : 0))
			),
			mat(
				'place',
				tasks.map((t) => pad(t.modes, place))
			),
			arr(
				'tied',
				ties.map((tie) => `{${tie.map((t) => T.get(t) + 1).join(', ')}}`)
			),
			arr('rank', rank),
			`nC = ${choices.length}; maxOpt = ${maxOpt};`,
			arr(
				'nOpt',
				choices.map((c) => c.options.length)
			),
			`optCost = array2d(1..${choices.length}, 1..${maxOpt}, [${choices.flatMap((c) => Array.from({ length: maxOpt }, (_, k) => (c.options[k]?.cost ?? 0) / unit)).join(', ')}]);`,
			arr(
				'tChoice',
				optional.map((o) => o?.[0] ?? 0)
			),
			arr(
				'tOption',
				optional.map((o) => o?.[1] ?? 0)
			),
			arr(
				'lFrom',
				lags.map((l) => T.get(l.from) + 1)
			),
			arr(
				'lTo',
				lags.map((l) => T.get(l.to) + 1)
			),
			arr(
				'lMin',
				lags.map((l) => l.min / unit)
			),
			arr(
				'lMax',
				lags.map((l) => (l.max === undefined ? big : l.max / unit))
			),
			arr('cap', p.resources?.map((r) => r.capacity) ?? []),
			arr(
				'uTask',
				uses.map((u) => u.t + 1)
			),
			arr(
				'uRes',
				uses.map((u) => u.r + 1)
			),
			mat(
				'uFrom',
				uses.map((u) => pad(u.per, (x) => x.from))
			),
			mat(
				'uDur',
				uses.map((u) => pad(u.per, (x) => x.dur))
			),
			mat(
				'uAmt',
				uses.map((u) => pad(u.per, (x) => x.amount))
			),
			arr(
				'oFrom',
				holds.map((h) => T.get(h.from) + 1)
			),
			arr(
				'oTo',
				holds.map((h) => T.get(h.to) + 1)
			),
			arr(
				'oRes',
				holds.map((h) => R.get(h.resource) + 1)
			),
			arr(
				'oAmt',
				holds.map((h) => h.amount)
			),
			arr('oPlace', holds.map(place)),
			arr(
				'oSure',
				holds.map((h) => firm(h) && reach(T.get(h.from), T.get(h.to)) > 0)
			),
			arr(
				'sA',
				pairs.map((x) => x[0] + 1)
			),
			arr(
				'sB',
				pairs.map((x) => x[1] + 1)
			),
			arr(
				'sAm',
				pairs.map((x) => x[2] + 1)
			),
			arr(
				'sBm',
				pairs.map((x) => x[3] + 1)
			),
			arr(
				'sAB',
				pairs.map((x) => x[4] / unit)
			),
			arr(
				'sBA',
				pairs.map((x) => x[5] / unit)
			),
			arr(
				'iTask',
				ready.map((x) => x[0] + 1)
			),
			arr(
				'iMode',
				ready.map((x) => x[1] + 1)
			),
			arr(
				'iReady',
				ready.map((x) => x[2] / unit)
			),
			`nW = ${wants.length};`,
			arr(
				'wTask',
				wants.map((w) => T.get(w.task) + 1)
			),
			arr(
				'wBy',
				wants.map((w) => w.by / unit)
			),
			arr(
				'wRate',
				wants.map((w) => w.rate)
			),
			arr(
				'pTask',
				serve.map((s) => T.get(s.task) + 1)
			),
			arr(
				'pServ',
				serve.map((s) => V.get(s.service) + 1)
			),
			arr(
				'pOff',
				serve.map((s) => s.offset / unit)
			),
			arr(
				'pFree',
				serve.map((s) => s.free / unit)
			),
			arr(
				'pRate',
				serve.map((s) => s.rate)
			),
			arr(
				'pMax',
				serve.map((s) => (s.max === undefined ? big : s.max / unit))
			)
		].join('\n') + '\n';
	return { dzn, unit };
}

function isMain() {
	try {
		return realpathSync(process.argv[1]) === fileURLToPath(import.meta.url);
	} catch {
		return false;
	}
}
if (isMain()) {
	process.stdout.write(toDzn(JSON.parse(readFileSync(process.argv[2], 'utf8'))).dzn);
}
