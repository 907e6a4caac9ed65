package juricast.server.tell;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where this school's Juricast is found, for what is written when nobody asks: messages and calendars. */
@Component
class Addresses {
    private final String address;

    Addresses(@Value("${juricast.address:http://localhost:${server.port}}") String address) {
        this.address = address.replaceFirst("/+$", "");
    }

    String of(String path) {
        return address + path;
    }
}
