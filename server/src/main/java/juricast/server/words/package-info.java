/**
 * The sentences: what the core says in codes, in words for adults and in words for pupils. Begin with {@link
 * juricast.server.words.RuleWords} and {@link juricast.server.words.VerdictWords}.
 */
package juricast.server.words;
