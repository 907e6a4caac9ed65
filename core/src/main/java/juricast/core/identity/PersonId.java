package juricast.core.identity;

/** A person known to the school, or one of the few who act without a body. */
public record PersonId(String value) {

    /** The clock: ends what was lent for some minutes. */
    public static final PersonId CLOCK = new PersonId("the-clock");
    /** The rules: admit, keep waiting and turn away where no adult decided. */
    public static final PersonId RULES = new PersonId("the-rules");
    /** The author of what ships with the program. */
    public static final PersonId PROGRAM = new PersonId("the-program");

    /** @throws NoSuchId if the id is empty */
    public PersonId {
        if (value.isBlank()) {
            throw new NoSuchId();
        }
    }

    @Override
    public String toString() {
        return value;
    }
}
