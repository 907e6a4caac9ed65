package juricast.server.problems;

import java.io.IOException;

/** More came, while a body was read, than is taken. */
public final class BodyTooLarge extends IOException {
    private static final long serialVersionUID = 1;

    private final int most;

    /** @param most bytes that are taken */
    public BodyTooLarge(int most) {
        super("A body of more than " + most + " bytes");
        this.most = most;
    }

    int most() {
        return most;
    }
}
