/** classes joins class names, leaving out what is false. */
export const classes = (...names: (string | false | undefined)[]) => names.filter(Boolean).join(' ')
