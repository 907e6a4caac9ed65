package juricast.core.merits;

/** Praise that was given. @param number the number of its event @param isBack whether it was taken back since */
public record Merit(int number, MeritsEvent.Given given, boolean isBack) {}
