package velvetcrock.push;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.WorthCalling;

/** The calls as an operator has set them, in a house whose own are off. */
public final class PushHand {
  private final PushPost post;
  private final Phones phones;
  private final Caller caller;

  public PushHand(ApplicationContext house, List<String> services, String contact, Path keys) {
    CurrentHousehold current = house.getBean(CurrentHousehold.class);
    Clock clock = house.getBean(Clock.class);
    Collection<WorthCalling> places = house.getBeansOfType(WorthCalling.class).values();
    post = new PushPost(services, contact, keys.toString());
    phones = new Phones(house.getBean(JdbcTemplate.class), current, post, clock);
    caller =
        new Caller(
            List.copyOf(places),
            house.getBean(Phones.class),
            post,
            house.getBean(Households.class),
            current,
            house.getBean(JsonMapper.class),
            clock);
  }

  public boolean on() {
    return post.on();
  }

  public boolean allows(String endpoint) {
    return post.allows(endpoint);
  }

  public String publicKey() {
    return post.publicKey();
  }

  /** A phone asks to be called; what wants somebody now, it knows. */
  public void add(String endpoint, String publicKey, String secret) {
    phones.add(endpoint, publicKey, secret, caller.wanting());
  }

  public List<String> endpoints() {
    return phones.all().stream().map(Phones.Phone::endpoint).toList();
  }

  public void call() {
    caller.call();
  }
}
