/** Said is what is put into a sentence: a name, a figure with its unit, a date as it is written. */
export type Said = string | number

/** counted says how many of what: "1 day", "3 days". */
export const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`
