/**
 * What is watched of a recording afterwards, by whom, and how much of it (needs I3, I4, I6). What somebody sees is
 * {@link juricast.core.watching.Playback}: made at the moment in which it is watched, so that a consent withdrawn since counts.
 */
package juricast.core.watching;
