package ebauche.exchange.plan;

import ebauche.core.plan.BuildPlan;
import ebauche.core.plan.Planner;
import ebauche.exchange.file.BuildFile;
import ebauche.exchange.json.BuildFileException;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** {@code ebauche plan FILE}: a build file in, its plan out as JSON on standard output. */
public final class PlanCommand {
    static final int PLANNED = 0;
    static final int STOPPED = 1;
    static final int UNREADABLE = 2;
    static final int UNEXPECTED = 3;

    private PlanCommand() {}

    public static void main(String[] args) {
        System.exit(run(args, System.out, System.err));
    }

    /**
     * Runs the command.
     *
     * @return 0 with a plan, 1 with a plan that something stops, 2 if the file cannot be read, 3 if something went wrong that nobody
     *     expected
     */
    static int run(String[] args, PrintStream out, PrintStream err) {
        try {
            return planned(args, out, err);
        } catch (RuntimeException | StackOverflowError unexpected) {
            err.println(
                    "This should not have happened (" + unexpected.getClass().getSimpleName()
                            + "). The file may be sound and the fault ours: please send it to whoever you have Ebauche from.");
            return UNEXPECTED;
        }
    }

    private static int planned(String[] args, PrintStream out, PrintStream err) {
        if (args.length != 1) {
            err.println("ebauche plan wants one build file: ebauche plan FILE.ebauche.json");
            return UNREADABLE;
        }
        Path file = Path.of(args[0]);
        try {
            BuildPlan plan = Planner.plan(BuildFile.read(bytes(file)).build());
            byte[] json = PlanJson.write(plan);
            out.write(json, 0, json.length);
            out.println();
            out.flush();
            return plan.stops() ? STOPPED : PLANNED;
        } catch (BuildFileException e) {
            err.println(file.getFileName() + ": " + e.inWords());
            return UNREADABLE;
        } catch (NoSuchFileException e) {
            err.println(file + ": there is no such file");
            return UNREADABLE;
        } catch (IOException e) {
            err.println(file + ": cannot be read (" + e.getMessage() + ")");
            return UNREADABLE;
        }
    }

    /** One byte more than is accepted, so that a larger file is refused without being held. */
    private static byte[] bytes(Path file) throws IOException {
        if (Files.isDirectory(file)) {
            throw new IOException("it is a folder");
        }
        try (InputStream in = Files.newInputStream(file)) {
            byte[] bytes = in.readNBytes(BuildFile.MOST_BYTES + 1);
            if (bytes.length > BuildFile.MOST_BYTES) {
                throw new BuildFileException(
                        "",
                        "the file has " + Files.size(file) + " bytes; at most " + BuildFile.MOST_BYTES + " are read");
            }
            return bytes;
        }
    }
}
