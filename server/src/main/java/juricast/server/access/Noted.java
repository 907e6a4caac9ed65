package juricast.server.access;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** That somebody looked here is noted in the {@link AccessLog}, if they were let. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Noted {
    /** What was looked at, in a few words; the class or lesson of the address is added. */
    String value();

    /** Whether it leaves the program, as a file. */
    boolean takenAway() default false;
}
