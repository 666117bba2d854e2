package velvetcrock;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import velvetcrock.check.Checking;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.demo.Rehearsal;

/** The web application. */
@EnableScheduling
@SpringBootApplication
public class VelvetCrock {

  /** Starts the application. */
  public static void main(String[] args) {
    ConfigurableApplicationContext running = SpringApplication.run(VelvetCrock.class, args);
    if (running.getEnvironment().getProperty("velvetcrock.check", Boolean.class, false)) {
      running.getBean(Checking.class).run();
      System.exit(SpringApplication.exit(running));
    }
    if (running.getEnvironment().getProperty("velvetcrock.rehearsal", Boolean.class, false)) {
      running.getBean(Rehearsal.class).run();
      System.exit(SpringApplication.exit(running));
    }
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }

  @Bean
  Catalogue catalogue() {
    return Catalogue.shipped();
  }

  @Bean
  Cautions cautions() {
    return Cautions.shipped();
  }
}
