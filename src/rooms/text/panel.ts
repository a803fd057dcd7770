/** What stands in the place of the list of sections. */
export type Panel = 'find' | 'proof' | 'versions' | 'pace' | 'desk' | 'out'
