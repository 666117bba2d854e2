package velvetcrock.web;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Optional;

/** What is the matter with the place where things are kept: database or disk. It passes. */
public enum StoreTrouble {
  /** It says that it goes down, or comes up. */
  AWAY,
  /** The line to it broke: it may be away. */
  BROKEN,
  /** There is no room left. */
  FULL;

  /** So little room is none, bytes. */
  private static final long NO_ROOM = 1_000_000;

  private static final Path SPOOL = Path.of(System.getProperty("java.io.tmpdir"));

  /** What made something fail; empty where it was something else. */
  public static Optional<StoreTrouble> of(Throwable failed) {
    for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLException sql) {
        return of(sql.getSQLState());
      }
      if (cause instanceof IOException && SPOOL.toFile().getUsableSpace() < NO_ROOM) {
        return Optional.of(FULL);
      }
    }
    return Optional.empty();
  }

  private static Optional<StoreTrouble> of(String state) {
    if (state == null || state.startsWith("08")) {
      return Optional.of(BROKEN);
    }
    if (state.startsWith("57P")) {
      return Optional.of(AWAY);
    }
    return state.equals("53100") ? Optional.of(FULL) : Optional.empty();
  }
}
