/** Who may read what about whom: one table, {@link juricast.core.reading.Matter}, asked wherever something is shown. */
package juricast.core.reading;
