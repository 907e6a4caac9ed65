/** The charter and the rules of classes: stored, changed, explained (needs A1, A2, A3, A6). Begin with {@link juricast.server.rules.Settings}. */
package juricast.server.rules;
