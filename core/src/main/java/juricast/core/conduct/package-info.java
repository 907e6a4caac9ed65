/**
 * How a disturbance is met in a lesson: steps of the ladder, moments marked for later, worries that pupils raise (needs G1, G3, G8).
 * Begin with {@link juricast.core.conduct.ConductRules}; what becomes of it afterwards is in {@code casebook}.
 */
package juricast.core.conduct;
