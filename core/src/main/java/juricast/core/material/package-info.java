/** What is handed out and hangs for latecomers, and captions. */
package juricast.core.material;
