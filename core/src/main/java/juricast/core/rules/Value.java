package juricast.core.rules;

/** What a rule can be set to. The order from strict to loose belongs to the rule's {@link ValueType}. */
public sealed interface Value permits Permission, YesNo, Minutes, Count, Door, ReEntry, Choice, Kinds {
    /** The value in files and on the wire: lower case, stable for ever. */
    String text();
}
