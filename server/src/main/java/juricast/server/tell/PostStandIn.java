package juricast.server.tell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Stands in for mail and text messages: nothing leaves this machine; the outbox shows what would have gone out. */
@Component
class PostStandIn implements Post {
    private static final Logger LOG = LoggerFactory.getLogger(PostStandIn.class);

    @Override
    public void carry(Letter letter) {
        // Without its words: logs carry no message text.
        LOG.debug("Would go out by {} to {}", letter.way(), letter.person());
    }
}
