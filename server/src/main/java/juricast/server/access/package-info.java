/**
 * Who may call what: sign-in sessions, device cookies, and the rule that an endpoint which names nobody is closed to
 * everybody. Begin with {@link juricast.server.access.For}.
 */
package juricast.server.access;
