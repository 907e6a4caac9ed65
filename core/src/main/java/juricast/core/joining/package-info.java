/** How people find their lesson: links, join words (needs B3, B4, C1). Begin with {@link juricast.core.joining.LinkKey}. */
package juricast.core.joining;
