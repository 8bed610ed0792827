#!/usr/bin/env node
// Runs a peer solver on a juntos-problem and prints JSON:
//   node peer.mjs problem.json [--time 60] [--engine wasm|native] [--solver chuffed|gecode|highs]
//                 [--search backward|late_first|forward] [--free] [--flags "…"]
// engine wasm: the npm package `minizinc` (MiniZinc with Chuffed, Gecode and HiGHS in WebAssembly), found from the
// current folder, beside this file, or in MINIZINC_NPM. Its Node entry wants an installed MiniZinc, so its browser
// worker is run here in a worker thread. engine native: the `minizinc` command.
// Seconds are counted from the end of flattening (`modelSeconds`, apart), with wasm in CPU time, so that other work on the
// machine does not count, and --time limits the same; with native they are wall time.
import { readFileSync, realpathSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createRequire } from 'node:module';
import { Worker } from 'node:worker_threads';
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { toDzn } from './to-dzn.mjs';

const here = path.dirname(fileURLToPath(import.meta.url));
const model = readFileSync(path.join(here, 'juntos.mzn'), 'utf8');
const ids = {
	chuffed: 'org.minizinc.chuffed',
	gecode: 'org.minizinc.gecode_presolver',
	highs: 'org.minizinc.mip.highs'
};

// Searches that only Chuffed knows.
const chuffedSearch = {
	prio: `include "chuffed.mzn";
ann: prio = seq_search([int_search(slip, input_order, indomain_min), priority_search(start, [seq_search([
  int_search([mode[t]], input_order, indomain_min), int_search([start[t]], input_order, indomain_max)]) | t in T], largest, complete)]);\n`,
	prio_end: `include "chuffed.mzn";
ann: prio_end = seq_search([int_search(slip, input_order, indomain_min), priority_search(end, [seq_search([
  int_search([start[t]], input_order, indomain_max), int_search([mode[t]], input_order, indomain_min)]) | t in T], largest, complete)]);\n`
};

function packageDist() {
	const roots = [process.env.MINIZINC_NPM, process.cwd(), here].filter(Boolean);
	for (const root of roots) {
		try {
			return path.dirname(createRequire(path.join(root, 'x.js')).resolve('minizinc'));
		} catch {
			/* next */
		}
	}
	throw new Error(
		'npm package `minizinc` not found: npm install minizinc, or set MINIZINC_NPM to a folder that has it'
	);
}

// The package's browser worker reads its files by fetch and speaks by postMessage: give it both.
const shim = `
const { parentPort, workerData: { dist } } = require('node:worker_threads');
const { readFileSync } = require('node:fs');
process.type = 'renderer'; // so that it does not take itself for Node
globalThis.WorkerGlobalScope = true; globalThis.self = globalThis;
globalThis.location = { href: dist + '/minizinc-worker.js', pathname: dist + '/minizinc-worker.js' };
globalThis.postMessage = m => parentPort.postMessage(m);
globalThis.addEventListener = (type, f) => { if (type === 'message') parentPort.on('message', data => f({ data })); };
globalThis.fetch = async file => new Response(readFileSync(String(file)), { headers: { 'content-type': String(file).endsWith('.wasm') ? 'application/wasm' : 'application/octet-stream' } });
(0, eval)(readFileSync(dist + '/minizinc-worker.js', 'utf8'));
`;

/** Runs MiniZinc in WebAssembly; `on` gets every message of its JSON stream. Ends at the time limit in any case. */
function runWasm(files, args, over, on) {
	const dist = packageDist();
	return new Promise((resolve, reject) => {
		const worker = new Worker(shim, { eval: true, workerData: { dist } });
		const stop = () => {
			clearInterval(timer);
			worker.terminate();
			resolve();
		};
		const timer = setInterval(() => {
			if (over()) stop();
		}, 50);
		worker.on('error', (e) => {
			clearInterval(timer);
			reject(e);
		});
		worker.on('message', (m) => {
			if (m.type === 'ready') worker.postMessage({ jsonStream: true, files, args: [...args, ...Object.keys(files)] });
			else if (m.type === 'exit') {
				on(m);
				stop();
			} else on(m);
		});
		worker.postMessage({ wasmURL: path.join(dist, 'minizinc.wasm'), dataURL: path.join(dist, 'minizinc.data') });
	});
}

function runNative(files, args, over, on) {
	const dir = mkdtempSync(path.join(tmpdir(), 'peer-'));
	for (const f in files) writeFileSync(path.join(dir, f), files[f]);
	return new Promise((resolve, reject) => {
		const child = spawn('minizinc', ['--json-stream', ...args, ...Object.keys(files)], { cwd: dir });
		const timer = setInterval(() => {
			if (over()) child.kill('SIGTERM');
		}, 50);
		let rest = '';
		child.stdout.on('data', (chunk) => {
			const lines = (rest + chunk).split('\n');
			rest = lines.pop();
			for (const line of lines) if (line.trim()) on(JSON.parse(line));
		});
		child.stderr.on('data', (chunk) => on({ type: 'stderr', value: String(chunk) }));
		child.on('error', reject);
		child.on('close', () => {
			clearInterval(timer);
			rmSync(dir, { recursive: true });
			resolve();
		});
	});
}

export async function solve(
	problem,
	{ time = 60, engine = 'wasm', solver = 'chuffed', search = 'backward', free = true, flags = '', below } = {}
) {
	const clock =
		engine === 'wasm'
			? () => {
					const c = process.cpuUsage();
					return (c.user + c.system) / 1e6;
				}
			: () => performance.now() / 1e3;
	const began = clock(),
		wall = performance.now();
	let zero = null; // the end of flattening
	const seconds = () => Math.round((clock() - (zero ?? clock())) * 1000) / 1000;
	const over = () =>
		(zero === null ? clock() - began > 300 : clock() - zero > time) ||
		performance.now() - wall > (5 * time + 300) * 1000;
	const { dzn, unit } = toDzn(problem);
	const files = {
		'juntos.mzn': model,
		'search.mzn': `${chuffedSearch[search] ?? ''}ann: branching = ${search};\n`,
		'data.dzn': dzn
	};
	files['juntos.mzn'] = model.replace('ann: branching;', '');
	if (below !== undefined) files['search.mzn'] += `constraint objective < ${Math.ceil(below / unit)};\n`;
	const id = engine === 'native' && solver === 'gecode' ? 'org.gecode.gecode' : (ids[solver] ?? solver);
	const args = [
		'--solver',
		id,
		'--intermediate-solutions',
		'--output-mode',
		'json',
		'--statistics',
		'--output-objective'
	];
	if (free && solver !== 'highs') {
		if (!(engine === 'wasm' && solver === 'gecode')) args.push('--free-search');
	}
	if (flags) args.push(...flags.split(/[ ~]+/));
	let best = null,
		status = 'unknown',
		secondsToFirst = null,
		secondsToBest = null,
		secondsToProof = null,
		modelSeconds = null,
		nodes;
	const trace = [],
		errors = [];
	const on = (m) => {
		if (m.type === 'solution') {
			const o = m.output.json;
			best = o;
			status = status === 'unknown' ? 'feasible' : status;
			secondsToBest = seconds();
			secondsToFirst ??= secondsToBest;
			trace.push([secondsToBest, (o._objective ?? o.objective) * unit]);
		} else if (m.type === 'status') {
			if (m.status === 'OPTIMAL_SOLUTION') {
				status = 'optimal';
				secondsToProof = seconds();
			}
			if (m.status === 'UNSATISFIABLE') {
				status = 'infeasible';
				secondsToProof = seconds();
			}
		} else if (m.type === 'statistics') {
			if (m.statistics.flatTime !== undefined && zero === null) {
				zero = clock();
				modelSeconds = Math.round((zero - began) * 1000) / 1000;
			}
			nodes = m.statistics.nodes ?? nodes;
		} else if (m.type === 'error' || m.type === 'stderr') errors.push(m.message ?? m.value);
		else if (m.type === 'exit' && m.code !== 0) errors.push(m.message ?? `exit ${m.code}`);
	};
	await (engine === 'wasm' ? runWasm : runNative)(files, args, over, on);
	const answer = { format: 'juntos-schedule', version: 1, problem: problem.name, status };
	if (best) {
		const skipped = new Set(
			(problem.choices ?? []).flatMap((c, i) => c.options.flatMap((o, k) => (k + 1 === best.taken[i] ? [] : o.tasks)))
		);
		if (problem.choices?.length)
			answer.picks = Object.fromEntries(problem.choices.map((c, i) => [c.id, c.options[best.taken[i] - 1].id]));
		problem.tasks.forEach((t, i) => {
			if (skipped.has(t.id)) return;
			(answer.starts ??= {})[t.id] = best.start[i] * unit;
			(answer.modes ??= {})[t.id] = best.mode[i] - 1;
		});
		answer.slips = Object.fromEntries(problem.services.map((s, i) => [s.id, best.slip[i] * unit]));
		answer.objective = (best._objective ?? best.objective) * unit;
		if (status === 'optimal') answer.bound = answer.objective;
		answer.stats = { seconds: secondsToBest, firstSeconds: secondsToFirst, nodes };
	}
	return {
		engine,
		solver,
		search: free ? `${search}+free` : search,
		unit,
		objective: answer.objective ?? null,
		bound: answer.bound ?? null,
		proven: status === 'optimal' || status === 'infeasible',
		status,
		modelSeconds,
		secondsToFirst,
		secondsToBest,
		secondsToProof,
		trace,
		errors: errors.length ? errors.slice(0, 3) : undefined,
		answer
	};
}

function isMain() {
	try {
		return realpathSync(process.argv[1]) === fileURLToPath(import.meta.url);
	} catch {
		return false;
	}
}
if (isMain()) {
	const [file, ...rest] = process.argv.slice(2),
		o = { free: false };
	for (let i = 0; i < rest.length; i++) {
		const key = rest[i].replace(/^--/, '');
		if (key === 'free') o.free = true;
		else o[key] = ['time', 'below'].includes(key) ? Number(rest[++i]) : rest[++i];
	}
	console.log(JSON.stringify(await solve(JSON.parse(readFileSync(file, 'utf8')), o)));
	process.exit(0);
}
