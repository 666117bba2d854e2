package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;

class StoreLineTest {
  private static ServerSocket silent() throws Exception {
    return new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
  }

  @Test
  void oneThatIsSilentDoesNotKeepFromTheNext() throws Exception {
    try (ServerSocket gone = silent();
        ServerSocket leads = silent()) {
      DataSourceProperties where = new DataSourceProperties();
      String both =
          "jdbc:postgresql://127.0.0.1:%d,127.0.0.1:%d/velvetcrock?targetServerType=primary"
              .formatted(gone.getLocalPort(), leads.getLocalPort());
      where.setUrl(both);
      where.setUsername("una");
      where.setPassword("");

      assertThatThrownBy(() -> new StoreLine(both, where).open("try", 1))
          .isInstanceOf(SQLException.class);

      leads.setSoTimeout(1);
      assertThat(leads.accept()).as("the second was asked").isNotNull();
    }
  }
}
