import { en } from './en'

export const es: typeof en = en
