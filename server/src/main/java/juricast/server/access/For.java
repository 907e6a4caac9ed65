package juricast.server.access;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import juricast.core.reading.Matter;

/** Who may call an endpoint. One without it is closed to everybody. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface For {
    /** The positions that may call it, signed in. */
    Position[] value() default {};

    /** What it shows of the whole school: those it names must be allowed to read that by the table. */
    Matter[] shows() default {};

    /** Whether it is open to people who are not signed in; what they may see is then decided by link and device. */
    boolean anyone() default false;

    /** Whether it is open to accounts that still lack something, so that they can mend it. */
    boolean unfinished() default false;
}
