package stillpond.app.mail;

import stillpond.core.refusal.Refusal;

/** The way by which letters leave. */
public interface Letters {

    /** Whether letters can be sent at all. */
    boolean areSent();

    /** @throws Refusal if it cannot be sent */
    void send(Letter letter);
}
