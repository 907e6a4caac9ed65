/**
 * The school's ladder: measured steps, kinds of acts, and which step is proposed next for a pupil, with its why (need G1). Begin with
 * {@link juricast.core.ladder.Ladder}; the formula stands in {@link juricast.core.ladder.Proposal}.
 */
package juricast.core.ladder;
