package stillpond.app.mail;

import stillpond.core.refusal.Refusal;

/** Where no mail server is set. */
class NoLetters implements Letters {

    @Override
    public boolean areSent() {
        return false;
    }

    @Override
    public void send(Letter letter) {
        throw new Refusal("This installation sends no mail. Hand over a link instead.");
    }
}
