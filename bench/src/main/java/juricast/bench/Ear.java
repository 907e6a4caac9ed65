package juricast.bench;

/** What listens to one stream. It is told on the thread that reads all of them, and must not hold it up. */
interface Ear {
    /** The number of the last event it was told, to go on from. */
    int last();

    /** An event with this number came. */
    void told(int number);

    /** A message that says "order" and this number came. */
    void order(int order);
}
