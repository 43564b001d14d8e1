/** Of Ustrel, as the file VERSION has it. */
declare const __VERSION__: string
