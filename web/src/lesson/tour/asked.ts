/** By what the address of a desk says that somebody is shown around. */
export const TOUR = 'tour'
