package juricast.server.editing;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What this endpoint answers is edited as a whole: it goes out with an ETag, to be sent back as If-Match with the change. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Edited {}
