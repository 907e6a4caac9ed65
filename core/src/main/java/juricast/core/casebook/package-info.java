/**
 * The casebook: incidents across classes, what is done about them, and who may do it (need G5). An incident is its events; begin with
 * {@link juricast.core.casebook.Incident} and {@link juricast.core.casebook.CaseRules}.
 */
package juricast.core.casebook;
