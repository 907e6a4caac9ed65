/**
 * All planned lessons against the rules of their day and against each other (needs B5, B6, B11): weak spots before anyone joins,
 * each with its evidence and its mend. Begin with {@link juricast.core.inspection.Inspection}.
 */
package juricast.core.inspection;
