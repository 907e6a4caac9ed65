/**
 * One line in which somebody types what they look for or mean to do: which act is likely, and which may be found at all (need
 * N13). Begin with {@link juricast.core.find.Finder}.
 */
package juricast.core.find;
