package juricast.server.access;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** How large a body an endpoint takes that is sent a file. One without it takes {@link Bodies#MOST}. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Takes {
    /** A form with one file, as application.yaml has it. */
    int FORM = 2_100_000;

    /** So much more is read, so that a file that is a little too large is refused in words and not by a broken line. */
    int SLACK = 1_000_000;

    /** Bytes of the whole body. */
    int value();
}
