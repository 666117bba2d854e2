package velvetcrock.web;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.TransactionSystemException;

/** What is the matter with the place where things are kept: database or disk. It passes. */
public enum StoreTrouble {
  /** It goes down or comes up, its line broke, or there was none to be had: it passes. */
  AWAY,
  /** Something is wrong with the line to it: it may be away. */
  BROKEN,
  /** There is no room left. */
  FULL;

  /** So little room is none, bytes. */
  private static final long NO_ROOM = 1_000_000;

  /** One of the two sides said what the other did not expect. */
  private static final String MISUNDERSTOOD = "08P01";

  private static final Path SPOOL = Path.of(System.getProperty("java.io.tmpdir"));

  /** What made something fail; empty where it was something else. */
  public static Optional<StoreTrouble> of(Throwable failed) {
    for (Throwable cause = failed; cause != null; cause = under(cause)) {
      if (cause instanceof SQLTransientConnectionException) {
        return Optional.of(AWAY);
      }
      if (cause instanceof SQLException sql) {
        return of(sql.getSQLState());
      }
      if (cause instanceof IOException && SPOOL.toFile().getUsableSpace() < NO_ROOM) {
        return Optional.of(FULL);
      }
    }
    return Optional.empty();
  }

  /**
   * What made it fail; of a rollback over a broken line, what was to be rolled back, not that it
   * could not be.
   */
  private static @Nullable Throwable under(Throwable failed) {
    return failed instanceof TransactionSystemException rollback
        ? rollback.getOriginalException()
        : failed.getCause();
  }

  private static Optional<StoreTrouble> of(String state) {
    if (state == null || state.equals(MISUNDERSTOOD)) {
      return Optional.of(BROKEN);
    }
    if (state.startsWith("08") || state.startsWith("57P")) {
      return Optional.of(AWAY);
    }
    return state.equals("53100") ? Optional.of(FULL) : Optional.empty();
  }
}
