package juricast.server.door;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import juricast.core.entry.Doorstep;
import juricast.core.identity.DeviceId;
import juricast.core.identity.PersonId;
import juricast.server.access.KnownDevices;
import juricast.server.access.TryLimit;
import juricast.server.classes.Classes;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * How often somebody may knock and guess at a class's word. A family, a school or a whole ship may share one address, so what a
 * stranger does from there never closes the door for who is signed in and on the list, or comes on a device that knew the word
 * before: those are counted by themselves.
 */
@Component
class KnockLimits {
    private static final Logger LOG = LoggerFactory.getLogger(KnockLimits.class);
    private static final int CROWD = 120;

    private final KnownDevices devices;
    private final DoorstepWords doorstep;
    private final TryLimit words;
    private final TryLimit guesses;
    private final TryLimit knocks;
    private final TryLimit crowds;
    private final TryLimit toldOfCrowd;

    KnockLimits(KnownDevices devices, DoorstepWords doorstep, Clock clock) {
        this.doorstep = doorstep;
        this.devices = devices;
        this.words = new TryLimit(6, Duration.ofMinutes(2), clock);
        // Somebody who drops the cookie that tells a device is held by this one.
        this.guesses = new TryLimit(60, Duration.ofMinutes(2), clock);
        this.knocks = new TryLimit(12, Duration.ofMinutes(1), clock);
        // A whole class may come from one address, but not four of them within a minute.
        this.crowds = new TryLimit(CROWD, Duration.ofMinutes(1), clock);
        this.toldOfCrowd = new TryLimit(1, Duration.ofMinutes(1), clock);
    }

    /**
     * Somebody before the door of a class.
     *
     * @param member the account, of who is signed in and on the list
     * @param isTrusted whether they are, or the device knew the word before
     */
    record Comer(
            Classes.SchoolClass at, DeviceId device, String address, Optional<PersonId> member, boolean isTrusted) {
        private String key() {
            return member.map(one -> "member " + one.value()).orElse(device.value() + address) + " at " + at.id();
        }

        private String place() {
            return address + " at " + at.id();
        }
    }

    Comer comer(Classes.SchoolClass at, DeviceId device, String address, Optional<PersonId> member) {
        boolean isTrusted = member.isPresent() || devices.knows("class:" + at.id(), Optional.of(device));
        return new Comer(at, device, address, member, isTrusted);
    }

    /** Counts a knock with the right word that goes to the lesson. @return false if there were too many */
    boolean takeKnock(Comer comer) {
        if (!knocks.take(comer.key()) || !comer.isTrusted && isCrowded(comer.place())) {
            return false;
        }
        // Only now, so that a flood of new devices is not remembered.
        devices.remember("class:" + comer.at.id(), comer.device);
        return true;
    }

    /** Whether the word is right; counted before it is compared. @throws Problem if there were too many tries */
    boolean isRight(Comer comer, String said) {
        if (!words.take(comer.key()) || !comer.isTrusted && !guesses.take(comer.place())) {
            throw doorstep.problem(Doorstep.Refusal.TOO_MANY_KNOCKS);
        }
        boolean isRight = comer.at.word().isSaidBy(said);
        if (isRight) {
            words.giveBack(comer.key());
            if (!comer.isTrusted) {
                guesses.giveBack(comer.place());
            }
        }
        return isRight;
    }

    /** Whether so many come from one address that it cannot be a class; told once in the log, for whoever looks after it. */
    private boolean isCrowded(String place) {
        boolean isCrowded = !crowds.take(place);
        if (isCrowded && toldOfCrowd.take(place)) {
            LOG.warn("More than {} knocks in a minute from {}: further ones are turned back unread", CROWD, place);
        }
        return isCrowded;
    }
}
