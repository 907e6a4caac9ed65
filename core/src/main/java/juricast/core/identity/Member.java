package juricast.core.identity;

/** A person who belongs to a class: on its roster or one of its adults, under the name the school knows. */
public record Member(PersonId person, String name, Role role) {
    /** @throws IllegalArgumentException if the name is empty */
    public Member {
        if (name.isBlank()) {
            throw new IllegalArgumentException("A member must have a name: " + person);
        }
    }
}
