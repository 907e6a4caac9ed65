/**
 * What is regulated, who set it to what, and what therefore holds (needs A1 to A6). Begin with {@link
 * juricast.core.rules.Catalogue} for the rules and {@link juricast.core.rules.Rulebook} for how settings are resolved.
 */
package juricast.core.rules;
