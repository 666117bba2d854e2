package velvetcrock.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.stereotype.Component;

/** Lines to the database of their own, past the pool and whatever stands before the database. */
@Component
public class StoreLine {
  private static final String CONNECT_SECONDS = "1";

  /** Room for one that is silent before the one that leads, where several are named. */
  private static final String LOGIN_SECONDS = "3";

  private final String url;
  private final DataSourceProperties properties;

  StoreLine(@Value("${velvetcrock.direct-url}") String url, DataSourceProperties properties) {
    this.url = url;
    this.properties = properties;
  }

  /**
   * Opens one.
   *
   * @param name under which the database lists it
   * @param patience how long an answer may take, s
   * @throws SQLException if no database answers within three seconds, or one does not lead that
   *     should
   */
  public Connection open(String name, int patience) throws SQLException {
    Properties how = new Properties();
    how.setProperty("user", properties.determineUsername());
    how.setProperty("password", String.valueOf(properties.determinePassword()));
    how.setProperty("connectTimeout", CONNECT_SECONDS);
    how.setProperty("loginTimeout", LOGIN_SECONDS);
    how.setProperty("socketTimeout", String.valueOf(patience));
    how.setProperty("ApplicationName", name);
    return DriverManager.getConnection(url, how);
  }
}
