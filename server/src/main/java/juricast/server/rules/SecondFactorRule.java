package juricast.server.rules;

import java.time.Clock;
import juricast.core.accounts.AccountRules;
import juricast.server.access.Position;
import juricast.server.access.Sessions;
import org.springframework.stereotype.Component;

/** What the charter says of signing in. */
@Component
class SecondFactorRule implements Sessions.FactorRule {
    private final Settings settings;
    private final Clock clock;

    SecondFactorRule(Settings settings, Clock clock) {
        this.settings = settings;
        this.clock = clock;
    }

    @Override
    public boolean asksFor(Position position) {
        return position == Position.LEAD && new AccountRules(settings.ofSchool(), clock.instant()).leadsNeedFactor();
    }
}
