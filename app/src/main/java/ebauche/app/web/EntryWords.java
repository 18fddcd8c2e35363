package ebauche.app.web;

import ebauche.core.logbook.AsBuilt;
import java.util.Arrays;
import java.util.Optional;

/** What an entry of the record says, in a line. */
public final class EntryWords {
    /** The sorts of entry: the word that the record has for each, how one is headed, and what many are called. */
    public enum Kind {
        DONE("done", "Done", "done"),
        READING("reading", "Read", "readings"),
        MISHAP("mishap", "Mistake", "mistakes"),
        ASKED("asked", "Asked", "waits for a yes"),
        SETTLED("settled", "Settled", "settled"),
        WITHDRAWN("withdrawn", "Withdrawn", "withdrawn"),
        UNREADABLE("unreadable", "Cannot be read", "cannot be read");

        private final String key;
        private final String heading;
        private final String many;

        Kind(String key, String heading, String many) {
            this.key = key;
            this.heading = heading;
            this.many = many;
        }

        public String key() {
            return key;
        }

        public String heading() {
            return heading;
        }

        public String many() {
            return many;
        }

        /** The kind of an entry. */
        public static Kind of(AsBuilt.Entry entry) {
            return find(entry.kind())
                    .orElseThrow(() -> new IllegalStateException("no words for an entry of the kind " + entry.kind()));
        }

        private static Optional<Kind> find(String key) {
            return Arrays.stream(values()).filter(k -> k.key.equals(key)).findFirst();
        }
    }

    private EntryWords() {}

    public static String of(AsBuilt.Entry entry, Figures fig) {
        if (entry instanceof AsBuilt.Reading r) {
            return r.measures().label() + " " + fig.reading(r);
        }
        if (entry instanceof AsBuilt.Done d) {
            return d.title();
        }
        if (entry instanceof AsBuilt.Mishap m) {
            return m.what()
                    + (m.minutes() > 0 ? ", " + m.minutes() + " min lost" : "")
                    + (m.open() ? ", to be made good" : "");
        }
        if (entry instanceof AsBuilt.Unreadable u) {
            return u.why();
        }
        if (entry instanceof AsBuilt.Asked a) {
            return "waits for a yes from " + a.whom();
        }
        return entry instanceof AsBuilt.Settled ? "made good, or a yes" : "an entry withdrawn";
    }
}
