// The cords as a picture file: by themselves, with their colours, lines and letters in the file.
import fontUrl from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';
import { mount, tick, unmount } from 'svelte';
import type { SpokenPlan } from '../../core/words/speak';
import Cords from './Cords.svelte';

/** What of an element's look goes with it. */
const looks = [
	'fill',
	'fill-opacity',
	'stroke',
	'stroke-width',
	'stroke-opacity',
	'stroke-dasharray',
	'stroke-linecap',
	'stroke-linejoin',
	'opacity',
	'font-size',
	'font-weight',
	'text-anchor',
	'dominant-baseline',
	'paint-order',
	'stop-color',
	'stop-opacity'
] as const;
/** Drawn as wide as this, in the light theme, px. */
const drawn = 1200;
const space = 'http://www.w3.org/2000/svg';

/** The text of an SVG file of a plan. */
export async function cordsSvg(plan: SpokenPlan): Promise<string> {
	const stage = document.createElement('div');
	stage.style.cssText = `position: absolute; inset: 0 auto auto -${2 * drawn}px; width: ${drawn}px; color-scheme: light`;
	document.body.append(stage);
	const cords = mount(Cords, { target: stage, props: { plan } });
	try {
		await tick();
		await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
		const svg = stage.querySelector('svg');
		if (!svg) throw new RangeError('no drawing');
		const copy = copied(svg) as SVGSVGElement;
		copy.setAttribute('xmlns', space);
		const style = document.createElementNS(space, 'style');
		style.textContent = `@font-face { font-family: 'Atkinson'; font-weight: 200 800; src: url(${await dataUrl(fontUrl)}) format('woff2'); } svg { font-family: 'Atkinson', sans-serif; font-variant-numeric: tabular-nums; background: #fff; }`;
		const title = document.createElementNS(space, 'title');
		title.textContent = plan.name;
		copy.prepend(title, style);
		return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
	} finally {
		await unmount(cords);
		stage.remove();
	}
}

/** A drawing without what is not seen, its looks as attributes. */
function copied(from: Element): Element {
	const copy = document.createElementNS(space, from.localName);
	const style = getComputedStyle(from);
	for (const { name, value } of from.attributes)
		if (!/^(?:class|style|tabindex|role|data-|aria-|on)/.test(name)) copy.setAttribute(name, value);
	for (const look of looks) {
		const value = style.getPropertyValue(look);
		if (value !== '') copy.setAttribute(look, value.replaceAll('"', "'"));
	}
	for (const child of from.childNodes) {
		if (child instanceof Element) {
			if (getComputedStyle(child).display !== 'none' || from.localName === 'defs') copy.append(copied(child));
		} else if (child instanceof Text) copy.append(child.data);
	}
	return copy;
}

async function dataUrl(url: string): Promise<string> {
	const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
	let binary = '';
	for (const byte of bytes) binary += String.fromCharCode(byte);
	return `data:font/woff2;base64,${btoa(binary)}`;
}
