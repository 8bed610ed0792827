// The best plan so far, as the search knows it.

/** A plan in indices, times in units. */
export interface Incumbent {
	readonly objective: number;
	/** Tasks that start at another time than in the plan to stay near. */
	readonly moves: number;
	/** Start by task, −1 where it is absent; index of its mode. */
	readonly starts: Int32Array;
	readonly modes: Int32Array;
	/** Index of the option taken, by choice; instant, by service. */
	readonly options: Int32Array;
	readonly instants: Int32Array;
	/** Value of every variable. */
	readonly values: Int32Array;
}
