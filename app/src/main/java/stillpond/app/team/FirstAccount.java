package stillpond.app.team;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import stillpond.app.account.Accounts;

/** Says in the log, as long as nobody can sign in, where the first account is opened. Behind the demo, which opens accounts of its own. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class FirstAccount implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(FirstAccount.class);

    private final Accounts accounts;
    private final Invitations invitations;

    FirstAccount(Accounts accounts, Invitations invitations) {
        this.accounts = accounts;
        this.invitations = invitations;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (accounts.none()) {
            LOG.warn(
                    "Nobody has an account yet. The first one is opened, within a day, at /join/{}",
                    invitations.first().code());
        }
    }
}
