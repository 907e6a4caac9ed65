/**
 * What each audience may see of a live lesson, put together from its parts as pure functions of their states:
 * {@link juricast.core.audience.DeskView} for its adults, {@link juricast.core.audience.SeatView} for one arrival, and
 * {@link juricast.core.audience.Needs}, what the adult is asked to do next.
 */
package juricast.core.audience;
