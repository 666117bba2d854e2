package velvetcrock.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.stereotype.Component;

/** Lines to the database of their own, past the pool and whatever stands before the database. */
@Component
public class StoreLine {
  private static final String CONNECT_SECONDS = "1";

  private final DataSourceProperties properties;

  StoreLine(DataSourceProperties properties) {
    this.properties = properties;
  }

  /**
   * Opens one.
   *
   * @param name under which the database lists it
   * @param patience how long an answer may take, s
   * @throws SQLException if the database does not answer within a second
   */
  public Connection open(String name, int patience) throws SQLException {
    Properties how = new Properties();
    how.setProperty("user", properties.determineUsername());
    how.setProperty("password", String.valueOf(properties.determinePassword()));
    how.setProperty("connectTimeout", CONNECT_SECONDS);
    how.setProperty("loginTimeout", CONNECT_SECONDS);
    how.setProperty("socketTimeout", String.valueOf(patience));
    how.setProperty("ApplicationName", name);
    return DriverManager.getConnection(properties.determineUrl(), how);
  }
}
