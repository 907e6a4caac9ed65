/**
 * What each audience may see of a live lesson, as pure functions of its state: {@link juricast.core.audience.DeskView}
 * for its adults, {@link juricast.core.audience.SeatView} for one arrival.
 */
package juricast.core.audience;
