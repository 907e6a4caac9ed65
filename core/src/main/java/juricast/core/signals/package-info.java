/** Raised hands, signs and the focus on one person. */
package juricast.core.signals;
