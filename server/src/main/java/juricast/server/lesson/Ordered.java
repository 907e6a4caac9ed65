package juricast.server.lesson;

/**
 * What an order is answered with. The page itself changes when its stream says so.
 *
 * @param number the number of the last event when the order counted: a page that has been told so far shows what it did
 */
public record Ordered(int number) {}
