package ebauche.app.web;

import ebauche.app.words.Words;
import ebauche.core.logbook.AsBuilt;
import java.util.Arrays;
import java.util.Optional;

/** What an entry of the record says, in a line. */
public final class EntryWords {
    /** The sorts of entry: by the word that the record has for each. */
    public enum Kind {
        DONE("done"),
        READING("reading"),
        MISHAP("mishap"),
        ASKED("asked"),
        SETTLED("settled"),
        WITHDRAWN("withdrawn"),
        UNREADABLE("unreadable");

        private final String key;

        Kind(String key) {
            this.key = key;
        }

        public String key() {
            return key;
        }

        public String heading() {
            return Words.say("entry." + key + ".heading");
        }

        public String many() {
            return Words.say("entry." + key + ".many");
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
            String cost = m.minutes() > 0 ? Words.say("entry.cost", m.what(), m.minutes()) : m.what();
            return m.open() ? Words.say("entry.open", cost) : cost;
        }
        if (entry instanceof AsBuilt.Unreadable u) {
            return u.why();
        }
        if (entry instanceof AsBuilt.Asked a) {
            return Words.say("entry.waits", a.whom());
        }
        return entry instanceof AsBuilt.Settled ? Words.say("entry.made-good") : Words.say("entry.gone");
    }
}
