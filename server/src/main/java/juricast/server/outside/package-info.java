/** Stand-ins for what other places provide: accounts that are not the school's. They ship with the program and simulate. */
@NullMarked
package juricast.server.outside;

import org.jspecify.annotations.NullMarked;
