// What a step needs before it: strands of work that begin for themselves, and meet where one names what is in the other.
import type { Action } from './actions';
import { alsoCalled, namesOf, plain, singular, wordsOf } from './called';
import type { ReadIngredient } from './ingredient';
import { everywhere, mentionsOf, type Known } from './mentions';

/** A strand of work: its steps so far, what is in it, what it is called. */
interface Strand {
	readonly steps: number[];
	readonly items: Set<string>;
	readonly names: Set<string>;
	/** It has gone into another one. */
	into: Strand | undefined;
	isHot: boolean;
	/** A tin made ready: it holds nothing yet. */
	isTool: boolean;
}

/** To do these there has to be something already. */
const strewing = new Set(
	'sprinkle brush lay spread scatter dust season drizzle top crimp seal cover arrange glaze garnish dot stud finish'.split(
		' '
	)
);

/** What a step makes: batters and sauces are named by what they are later. */
const products =
	/\b(?:the|this|that|your|remaining|warm|hot|cooled|chilled|rested)\s+(?:[a-zà-ÿ-]+\s+){0,2}?(dressing|sauce|syrup|glaze|batter|dough|pastry|filling|mixture|mix|marinade|paste|custard|cream|crumble|crumbs|topping|stuffing|gravy|salsa|pesto|rub|brine|icing|frosting|stock|broth|purée|puree|mash|salad|slaw|relish|vinaigrette|mayonnaise|aioli|butter|caramel|ganache|meringue|sponge|base|roux|jam|compote|curry|stew|soup|ragu|patties|meatballs|fritters|dumplings|pancakes|skewers|burgers|parcels)\b/gi;

const newStart =
	/\b(?:meanwhile|in the meantime|at the same time|while\b(?! (?:stirring|whisking))|whilst|separately)\b/i;
const otherVessel =
	/\b(?:another|separate|second|clean|different|fresh)\s+(?:(?:large|small|medium|wide|heavy|deep|heatproof|mixing|non-?stick|frying|big)[\s-]+)*(?:bowl|pan|saucepan|pot|skillet|frying pan|tray|jug|dish|casserole|wok|tin)\b/i;
const aVessel =
	/\b(?:in|into|with)\s+(?:a|an|your)\s+(?:(?:very|large|small|medium|wide|heavy|heavy-based|heavy-bottomed|deep|heatproof|mixing|non-?stick|dry|big|ovenproof|hot|shallow|sturdy|little|roomy|lidded|flameproof|cold|medium-sized|large-ish|clean|good|food|stand|electric|cast[- ]iron)[\s-]+)*(?:bowl|pan|saucepan|pot|skillet|frying pan|tray|jug|dish|casserole|wok|mortar|processor|blender|mixer|roasting tin|tin|griddle|jar|frying)\b/i;
const samePan =
	/\b(?:same|that|this)\s+(?:[a-z]+\s+)?(?:pan|pot|bowl|skillet|wok|saucepan|casserole|tin|dish|frying pan)\b|\bto the (?:[a-z]+\s)?(?:pan|pot|skillet|wok)\b|\b(?:back (?:in|into|to) the (?:pan|pot))\b|\breturn\b[^.]*\b(?:pan|pot)\b/i;
const pronoun =
	/\b(?:it|them|everything|all of it|the lot|mixture)\b|\b(?:into|in|over) each\b(?! side)|\bthe (?:flesh|pulp|liquid|pieces|slices|strips|rounds|wedges|juices)\b|\b(?:both|these|this)(?=\s*(?:[,.;]|$|\b(?:in|into|to|with|and|on|over|for|until|aside)\b))/i;
const boilingWater =
	/\b(?:large|big|deep|medium|small)?\s*(?:pan|pot|saucepan) of (?:well[- ])?(?:salted |lightly salted |generously salted |cold |boiling |simmering )*water\b/i;
/** Whether a text begins in a vessel of its own, not in the one that is at hand. */
export const isInOwnVessel = (text: string) => otherVessel.test(text) || aVessel.test(text) || boilingWater.test(text);
const joinsAll = /\b(?:serve|to serve|plate|assemble|divide|everything|enjoy)\b/i;

/** Sections that make something for themselves: “For the sauce”. */
const productOf = (section: string | null): readonly string[] =>
	section === null
		? []
		: wordsOf(section).filter(
				(w) => !plain.has(w) && !['make', 'step', 'prepare', 'cook', 'assemble', 'finish', 'serve', 'part'].includes(w)
			);

/** Steps (places in the list) that each one waits for. */
export function orderOf(
	actions: readonly Action[],
	ingredients: readonly ReadIngredient[],
	title = ''
): readonly (readonly number[])[] {
	const known: readonly Known[] = ingredients.map((i) => ({
		words: namesOf(i),
		also: alsoCalled(i),
		section: i.section
	}));
	// Words of the title that are no ingredient.
	const dish = wordsOf(title).filter((w) => w.length > 4 && !plain.has(w) && !known.some((k) => k.words.includes(w)));
	/** What stands in the list twice, for two parts, is another each time. */
	const isTwice = (item: string) =>
		new Set(known.filter((k) => k.words.at(-1) === item).map((k) => k.section)).size > 1;
	const sections = [...new Set(known.map((k) => k.section))].map(productOf).filter((names) => names.length > 0);
	const after: number[][] = [];
	const strands: Strand[] = [];
	let current: Strand | undefined;
	let isAside = false;
	let lastPan: Strand | undefined;

	const head = (s: Strand): Strand => (s.into ? head(s.into) : s);
	const tail = (s: Strand): number | undefined => head(s).steps.at(-1);
	const begin = (): Strand => {
		const strand: Strand = {
			steps: [],
			items: new Set(),
			names: new Set(),
			into: undefined,
			isHot: false,
			isTool: false
		};
		strands.push(strand);
		return strand;
	};
	/** What was done to it last, but for seasoning. */
	const workOf = (s: Strand) => actions[s.steps.findLast((k) => actions[k]?.kind !== 'finish') ?? 0];
	const open = () => strands.filter((s) => s.into === undefined && s.steps.length > 0);

	actions.forEach((action, i) => {
		const text = action.text;
		const { said, words, mentioned, items, isSomething } = mentionsOf(action, known);
		// Strands in which something of this lies, or that are called so.
		const made = [
			...said.matchAll(products),
			...said.matchAll(/\bthe (dry|wet)s?\b(?!\s+(?:pan|skillet|frying))/gi)
		].map((m) => singular((m[1] ?? '').toLowerCase()));
		const found = new Set<Strand>();
		for (const item of items) {
			// A family is known by its name alone: mint is no parsley, though both are herbs.
			if (isTwice(item) || !(words.has(item) || mentioned.some((k) => k.words.at(-1) === item))) continue;
			const holder = strands.findLast((s) => s.items.has(item) && s.steps.length > 0);
			if (holder) found.add(head(holder));
		}
		for (const name of [...made, ...wordsOf(said)]) {
			// “in a large pan” is not the one that is hot.
			if (pans.has(name) && isInOwnVessel(said)) continue;
			const holder =
				open().findLast((s) => s.names.has(name)) ?? strands.findLast((s) => s.names.has(name) && s.steps.length > 0);
			if (holder && !isTarget(said, name)) found.add(head(holder));
		}
		if (/\bhot (?:oil|butter|fat)\b/i.test(said) && lastPan && action.kind !== 'heat') found.add(head(lastPan));
		if (/\b(?:unwrap|(?:out of|from) the oven)\b/i.test(said)) {
			const baked = open().findLast((s) => s.steps.some((k) => actions[k]?.station === 'oven'));
			if (baked) found.add(baked);
		}
		// What was cooked in: “strain the broth”.
		const liquid = /\bthe (?:cooking |hot |reserved )?(broth|stock|liquid|liquor|cooking water)\b/i.exec(said)?.[1];
		if (liquid !== undefined && found.size === 0 && !known.some((k) => k.words.includes(liquid.toLowerCase()))) {
			const pot = open().findLast((s) =>
				s.steps.some((k) => actions[k]?.kind === 'simmer' || actions[k]?.kind === 'boil')
			);
			if (pot) found.add(pot);
		}
		if (action.kind === 'steam') for (const s of open()) if (s.names.has('steamer')) found.add(s);
		// What is left over, or set by, of a thing was never in there.
		for (const m of said.matchAll(
			/\b(?:remaining|rest of the|reserved|leftover|last of the|other)\s+([a-zà-ÿ-]+(?:\s+[a-zà-ÿ-]+)?)/gi
		))
			for (const w of wordsOf(m[1] ?? ''))
				for (const s of [...found])
					if (s.items.has(w) && ![...items].some((x) => x !== w && s.items.has(x))) found.delete(s);
		const isNewSection: boolean = i > 0 && action.section !== actions[i - 1]?.section && action.section !== null;
		const isMeanwhile =
			newStart.test(action.lead) ||
			/^\s*(?:meanwhile|while|whilst|in the meantime|separately|(?:just |shortly )before)\b/i.test(text);
		// “into the batter”, “of batter”: something that was mixed and is not what is in hand.
		const target =
			/\b(?:(?:into|to|with|onto|on|over|under|through) the (?:remaining |rest of the )?(?:[a-z]+ )?|of (?:the )?(?:[a-z]+ )?)(batter|dough|mixture|mix|filling|pastry|paste|crumbs|marinade|dressing|sauce|glaze|syrup|custard|stew|curry|soup|ragu|casserole|tagine|chilli)\b/i.exec(
				said
			)?.[1];
		const isBatter =
			/\b(?:batter|dough)\b(?! ball)/i.test(said) &&
			!/\b(?:a|into|to|until|form|have)\s+(?:[a-z-]+,?\s+){0,3}(?:batter|dough)\b/i.test(said);
		const inHand = current && head(current);
		if (
			(target !== undefined || (isBatter && found.size === 0)) &&
			[...found].every((s) => s === inHand || !isMixed(workOf(s)) || s.names.has('white'))
		) {
			const here = [...found][0] ?? inHand;
			const other = open().findLast(
				(s) => s !== here && !s.isTool && (isDish.test(target ?? '') || isMixed(workOf(s)))
			);
			if (other) found.add(other);
			else if (found.size === 0 && inHand) found.add(inHand);
		}
		// The dish is called by its name: “add the sage and the gnocchi”.
		if (found.size === 0 && dish.some((w) => words.has(w))) {
			const here = current && head(current);
			const biggest = open()
				.filter((s) => s !== here && !s.isTool)
				.reduce<Strand | undefined>((a, s) => (a && a.steps.length >= s.steps.length ? a : s), undefined);
			if (biggest && biggest.steps.length > 2) found.add(biggest);
		}
		// “Prick the warm cake”: what was baked.
		if (found.size === 0 && items.length === 0) {
			const baked =
				/\b(?:the|your|each)\s+(?:warm |hot |cooled |cold |baked )*(cake|loaf|sponge|bread|pie|tart|quiche|buns?|muffins?|brownies?|scones?|biscuits?|cookies)\b/i.test(
					said
				);
			const oven = baked ? open().findLast((s) => s.steps.some((k) => actions[k]?.station === 'oven')) : undefined;
			if (oven) found.add(oven);
		}
		if (/\b(?:in|into) the (?:pastry |tart |baked |pie )?(?:case|shell|crust)\b/i.test(said)) {
			const shell = open().findLast(
				(s) =>
					s.steps.some((k) => actions[k]?.station === 'oven') &&
					(s.isTool || s.names.has('tin') || s.names.has('pastry') || s.names.has('dough'))
			);
			if (shell) found.add(shell);
		}
		// What goes on meanwhile is not what is being waited for.
		if (isMeanwhile && current) found.delete(head(current));
		const isOther = otherVessel.test(said);
		const isSame = samePan.test(said);
		const isFirstOfLine = i === 0 || actions[i - 1]?.line !== action.line;
		const isFirstOfSentence = i === 0 || actions[i - 1]?.sentence !== action.sentence;
		const fresh = found.size === 0;
		const isOwnVessel = aVessel.test(said) || boilingWater.test(said);
		const isAdded =
			current?.isHot === true &&
			action.station === 'burner' &&
			/\b(?:add(?:ing)?|return|tip in|stir in|pour in|throw in|go(?:es)? in)\b/i.test(said);
		const isIn =
			isAdded ||
			/^make (?:a|\d+) wells?\b/i.test(text.slice(action.lead.length).trim()) ||
			/^(?:then\s+)?(?:lower|reduce|turn\s+(?:down|up)|increase|raise|drop)\s+(?:the\s+)?heat\b/i.test(
				text.slice(action.lead.length).trim()
			) ||
			/^(?:\w+ly\s+)?(?:stir|fold|mix|beat|whisk|add|blend|work|rub|sift|sieve|grate|crumble|scatter|pour|dip|trickle)\s+(?:in|through|into)\b|^add\b|\b(?:stir|whisk|beat|fold|mix|rub) in\b|^(?:slide|lower|drop|tip|crack|slip|lay|throw|nestle) in\b|^(?:take|remove)\b[^,]*\b(?:off|from) the heat\b/i.test(
				text.slice(action.lead.length).trim()
			);
		// “Put in a bowl with the sugar”: what is in hand.
		const isBare =
			/^(?:put|place|tip|transfer|scrape|pour|return|spoon|turn|press|roll|pile)\s+(?:in|into|to|onto|on|out)\b/i.test(
				text.slice(action.lead.length).trim()
			);
		const isPronoun =
			isBare ||
			/\b(?:into|in) the (?:well|centre|center|middle)\b(?! of)/i.test(said) ||
			pronoun.test(
				said
					.replace(/\b(?:until|till|so that|as|when|once|while)\b[^,;.]*/gi, ' ')
					.replace(/\bmixture\b/i, made.length > 0 ? '' : 'mixture')
			);
		const isPrep = action.kind === 'prep' || action.kind === 'mix' || action.kind === 'soak';
		const isForNamed =
			/(?:\b(?:for|to make)|^\s*make) (?:the|a|an) ([a-zà-ÿ -]+?)(?=,|\.|:|$|\bin\b|\bby\b|\bwhisk\b|\bmix\b)/i.exec(
				`${action.lead} ${text}`
			);
		const isAllOf = /\b(?:all )?the (?!remaining|rest|other|dry|wet)[a-z]+ ingredients\b/i.test(said);
		const isForPart =
			isAllOf ||
			(isFirstOfSentence && /^make the [a-zà-ÿ ]+:/i.test(text)) ||
			(isFirstOfSentence && /^(?:meanwhile,?\s*)?(?:for|to make) (?:the|a|your)\b/i.test(action.lead));
		// What is made for itself takes its own of what is in another part too.
		const isOwnPart = isNewSection && known.some((k) => k.section?.toLowerCase() === action.section?.toLowerCase());
		if (isForPart || isOwnPart)
			for (const s of [...found])
				if (![...wordsOf(said)].some((w) => s.names.has(w) && !isTarget(said, w))) found.delete(s);
		const isTin = /\b(?:put|set|place|return) the (?:roasting )?(?:tin|tray|dish|pan) (?:back )?(?:over|on)\b/i.test(
			said
		);
		// “Rub it all over the skin”: of what was in hand before.
		const isOnSkin = /\b(?:over|into|onto) (?:all (?:of )?)?the (?:skin|meat|flesh|joint|surface|fat|outside)\b/i.test(
			said
		);
		const previous = actions[i - 1];
		// A pan that was just made hot is for what comes now.
		const isForPan =
			current !== undefined &&
			previous?.kind === 'heat' &&
			head(current).steps.at(-1) === i - 1 &&
			(action.station === 'burner' || action.station === 'fryer') &&
			!isMeanwhile &&
			!isOther &&
			!boilingWater.test(said);
		const strand = head(choose());

		function choose(): Strand {
			if (action.kind === 'plate' && isLast(actions, i) && !isPartPlate(action)) {
				// What is served is all that there is.
				for (const s of open()) found.add(s);
				return current ?? begin();
			}
			if (isNewSection || isForPart || (isTin && isAside)) return begin();
			if (isForPan && current) return current;
			if (isSame && lastPan && (isAside || current?.isHot !== true)) return lastPan;
			if (isSame && current) return current;
			if (isMeanwhile || isOther) {
				const [one] = [...found];
				return (isMeanwhile && !isOwnVessel && found.size === 1 ? one : undefined) ?? begin();
			}
			if (!current) return begin();
			const here = head(current);
			// “Simmer for 1 hour.”: of nothing but what was set aside.
			const isBareWork =
				['simmer', 'boil', 'bake', 'roast', 'fry', 'sear', 'steam', 'prep', 'finish'].includes(action.kind) &&
				!isSomething &&
				!isOwnVessel &&
				toolsIn(action).length === 0;
			// “Rinse, dry.”: what is in hand.
			const isTerse = items.length === 0 && wordsOf(said).length <= 3;
			// What is strewn, brushed, laid over something is over what is in hand.
			const isOverIt =
				/\b(?:grate|crumble|tear|squeeze|pour|snip|grind|scatter|spoon) over\b/i.test(said) ||
				/\b(?:spoon|spread|lay|arrange|pile|scatter|place|put)\b[^,.;]{0,30}\bon top\b/i.test(said) ||
				/\b(?:grate|crumble|tear|squeeze|pour|snip|grind|scatter|spoon|ladle)\b[^,.;]{0,30}\bover\b(?=\s*(?:$|[.,;]|and\b|the top\b))/i.test(
					said
				);
			const isStrewn =
				toolsIn(action).length === 0 &&
				((strewing.has(action.verb.split(' ')[0] ?? '') && !(action.verb === 'season' && fresh && isSomething)) ||
					isOverIt ||
					/^(?:fill|stuff|top|finish|sandwich|spread|cover)\s+with\b/i.test(text.slice(action.lead.length).trim()));
			if (isAside && fresh && !isPronoun && !isIn && !isBareWork && !isStrewn && !isTerse && isFirstOfSentence)
				return begin();
			// A part of the list by its name, which nobody has begun: “chop the gremolata”.
			const isUnbegun =
				isFirstOfSentence &&
				isPrep &&
				fresh &&
				sections.some(
					(names) => names.some((w) => words.has(w)) && !strands.some((s) => names.some((w) => s.names.has(w)))
				);
			if (isUnbegun) return begin();
			const isOver = /\b(?:over|onto|on top|into)\b/i.test(said);
			const isNewPrep =
				action.kind === 'prep' &&
				!strewing.has(action.verb.split(' ')[0] ?? '') &&
				fresh &&
				items.length > 0 &&
				!isIn &&
				!isPronoun &&
				!isOver;
			if (!isFirstOfSentence && !isNewPrep) return here;
			if (found.size > 0) {
				// It goes on with what it names: with what is being worked on, if that is among it.
				// “Add the beans to the curry”: that is where it goes.
				const to = /\bto the ([a-zà-ÿ -]+?)(?=$|[,.;]|\s+(?:and|with|then)\b)/i.exec(said)?.[1];
				const goal =
					to === undefined
						? undefined
						: [...found].find((s) => wordsOf(to).some((w) => s.names.has(w) || s.items.has(w)));
				if (goal && goal !== here && !found.has(here)) return goal;
				if (found.has(here) || isIn || isPronoun || isOverIt || [...found].every((s) => s.isTool)) return here;
				return isOwnVessel && items.length > 1 ? begin() : mainOf(found, items);
			}
			const isOil = action.celsius !== null && /\boil\b/i.test(said);
			if (action.kind === 'heat' && (isOwnVessel || isPan(text) || isOil)) return begin();
			if (isIn || isPronoun || (isStrewn && !isOwnVessel)) return here;
			if (!isSomething) {
				// Of nothing in particular: a tin is greased, a pan of water put on, or it goes on.
				const isOther = here.isTool && isOwnVessel && action.kind === 'mix';
				return isOther || toolsIn(action).length > 0 || boilingWater.test(said) ? begin() : here;
			}
			if (isOwnVessel || isPrep) return begin();
			const isElsewhere = action.station !== 'board' && action.station !== 'none';
			// What was drained is off the heat.
			const last = here.steps.findLast((k) =>
				['drain', 'boil', 'simmer', 'fry', 'sear', 'heat'].includes(actions[k]?.kind ?? '')
			);
			const isOn = here.isHot && action.station === 'burner' && (last === undefined || actions[last]?.kind !== 'drain');
			return isFirstOfLine && isElsewhere && !isOn ? begin() : here;
		}

		if (isOnSkin && found.size === 0) {
			const other = open().findLast((s) => s !== strand && !s.isTool);
			if (other) found.add(other);
		}
		const before = new Set<number>();
		const own = tail(strand);
		if (own !== undefined) before.add(own);
		for (const s of found) {
			const t = tail(s);
			if (t !== undefined && head(s) !== strand) {
				before.add(t);
				join(s, strand);
			}
		}
		// What has run out of a roast comes from it, while that rests; so does the tin.
		if (isTin || /\b(?:pan|roasting|cooking|meat|resting) juices\b/i.test(said)) {
			const roasted = actions.slice(0, i).findLastIndex((a) => a.station === 'oven');
			if (roasted >= 0) before.add(roasted);
		}
		after.push([...before].sort((a, b) => a - b));
		strand.steps.push(i);
		for (const item of items) strand.items.add(item);
		for (const name of productOf(action.section)) strand.names.add(name);
		if (isForNamed?.[1] !== undefined)
			for (const w of wordsOf(isForNamed[1]))
				if (!plain.has(w) && !['minute', 'hour', 'side', 'serving'].includes(w)) strand.names.add(w);
		for (const name of bornIn(text)) strand.names.add(name);
		const listed = /\bthe ([a-z]+) ingredients\b/i.exec(said)?.[1];
		if (listed !== undefined && !plain.has(listed)) strand.names.add(listed.toLowerCase());
		for (const m of said.matchAll(/\b(?:into|between|among)\b[^,.;]*?\b(moulds?|molds?|ramekins?|jars?|glasses)\b/gi))
			strand.names.add(singular((m[1] ?? '').toLowerCase()));
		const kept = /\b(dry|wet) ingredients\b/i.exec(said)?.[1];
		if (kept !== undefined) strand.names.add(kept.toLowerCase());
		if (action.kind === 'heat') for (const name of pansIn(text)) strand.names.add(name);
		const tools = toolsIn(action);
		strand.isTool = tools.length > 0 && (strand.isTool || strand.steps.length === 1);
		for (const name of tools) strand.names.add(name);
		for (const name of ofSection(strand, known)) strand.names.add(name);
		if (['heat', 'sear', 'fry', 'simmer', 'boil'].includes(action.kind)) {
			strand.isHot = true;
			lastPan = strand;
		} else if (action.station === 'oven' || action.kind === 'drain')
			strand.isHot = action.station !== 'oven' && strand.isHot;
		current = strand;
		isAside = action.isAside;
		if (['rest', 'chill', 'marinate', 'soak'].includes(action.kind) && isFirstOfNext(actions, i)) isAside = true;
	});
	return reduced(after);

	function join(from: Strand, to: Strand): void {
		const [a, b] = [head(from), head(to)];
		if (a === b) return;
		a.into = b;
		for (const x of a.items) b.items.add(x);
		for (const x of a.names) b.names.add(x);
		b.isHot ||= a.isHot;
	}

	/** Of several strands the one with most of what is named, and the newest. */
	function mainOf(found: ReadonlySet<Strand>, items: readonly string[]): Strand {
		const score = (s: Strand) => items.filter((x) => s.items.has(x)).length + 0.001 * strands.indexOf(s);
		return [...found].reduce((a, b) => (score(b) > score(a) ? b : a));
	}
}

/** “for the sauce” tells what is made, not what is taken. */
const isTarget = (text: string, name: string) =>
	new RegExp(`\\b(?:for|to make|make) (?:the|a|an) (?:[a-z]+ )?${name}`, 'i').test(text);

/** What a step says that it makes: “until you have a smooth batter”, “to a paste”. */
function bornIn(text: string): readonly string[] {
	const made =
		/\b(?:to|into|make|makes|have|form|forms|get) (?:a|an) (?:[a-zà-ÿ-]+,? ){0,3}?(paste|dough|batter|sauce|dressing|syrup|mixture|purée|puree|ball|custard|crumbs?|cream|glaze|caramel)\b/gi;
	const cut =
		/\b(?:cut|slice|chop|shape|roll|form)\b[^.;]*?\binto (?:[a-zà-ÿ0-9.-]+ ){0,4}?(chips|wedges|strips|batons|rounds|florets|patties|balls|meatballs|fritters|skewers|cubes|slices|discs|disks|parcels|pieces)\b/gi;
	return [
		...[...text.matchAll(made)].map((m) => (m[1] ?? '').toLowerCase()),
		...[...text.matchAll(cut)].map((m) => singular((m[1] ?? '').toLowerCase()))
	];
}

/** What the whole is called. */
const isDish = /^(?:stew|curry|soup|ragu|casserole|tagine|chilli)$/i;

const isMixed = (action: Action | undefined) =>
	action?.kind === 'mix' || action?.kind === 'rest' || action?.kind === 'chill' || action?.kind === 'simmer';

/** “Heat a griddle”: a pan for what comes. */
const isPan = (text: string) =>
	/\b(?:heat|preheat|warm)\s+(?:up\s+)?(?:a|an|the|your)\s+(?:[a-z-]+\s+){0,3}(?:pan|griddle|skillet|wok|casserole)\b/i.test(
		text
	);
const pans = new Set(['pan', 'griddle', 'skillet', 'wok', 'casserole', 'steamer']);
const pansIn = (text: string): readonly string[] => wordsOf(text).filter((w) => pans.has(w));

/** A tin that was made ready is named by what it is. */
function toolsIn({ kind, text }: Action): readonly string[] {
	if ((kind !== 'prep' && kind !== 'finish') || !/\b(?:grease|line|butter|oil|flour|base-line)\b/i.test(text))
		return [];
	if (kind === 'finish' && !/\b(?:a|an|each|your) [^,.;]*\b(?:tin|tray|mould|sheet|ramekins?)\b/i.test(text)) return [];
	return (text.toLowerCase().match(/\b(?:hole|tin|tray|pan|dish|sheet|mould|ramekin|case|jar|basin)s?\b/g) ?? []).map(
		singular
	);
}

/** A strand that holds all of a section's list is what that section makes. */
function ofSection(
	strand: Strand,
	known: readonly { readonly words: readonly string[]; readonly section: string | null }[]
): readonly string[] {
	const sections = [...new Set(known.map((k) => k.section))].filter((s) => s !== null);
	return sections.flatMap((section) => {
		const own = known.filter((k) => k.section === section && !k.words.every((w) => everywhere.has(w)));
		const held = own.filter((k) => k.words.some((w) => strand.items.has(w)));
		return own.length > 0 && held.length >= Math.min(2, own.length) ? productOf(section) : [];
	});
}

const isLast = (actions: readonly Action[], i: number) =>
	actions.slice(i + 1).every((a) => ['plate', 'finish', 'prep', 'mix'].includes(a.kind));
const isPartPlate = (action: Action) => /\b(?:marinade|tray|bag)\b/i.test(action.text) && !joinsAll.test(action.text);
const isFirstOfNext = (actions: readonly Action[], i: number) =>
	actions[i + 1] !== undefined && actions[i + 1]?.line !== actions[i]?.line;

/** Without what follows through others. */
function reduced(after: readonly (readonly number[])[]): readonly (readonly number[])[] {
	const reach = after.map(() => new Set<number>());
	return after.map((before, i) => {
		for (const b of before) {
			reach[i]?.add(b);
			for (const r of reach[b] ?? []) reach[i]?.add(r);
		}
		return before.filter((b) => !before.some((o) => o !== b && reach[o]?.has(b)));
	});
}
