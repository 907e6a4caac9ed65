/**
 * Recordings afterwards: listed, watched, taken away and kept (needs I4 to I6). Who may is asked of {@link
 * juricast.core.watching.Looking}, what they see is made by {@link juricast.core.watching.PlaybackMaker}.
 */
package juricast.server.watching;
