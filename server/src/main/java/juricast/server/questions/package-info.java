/** Questions of a lesson, and those a class prepares: on the way in, on the wire, on the disk and in words; what is decided stands in {@link juricast.core.questions}. */
package juricast.server.questions;
