package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.lang.reflect.Method;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.InOrder;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.method.HandlerMethod;

/** A page's look begins with its first question, and ends before the page is drawn. */
class OneLookTest {
  private final HouseholdTransactions transactions = mock(HouseholdTransactions.class);
  private final CurrentHousehold current = mock(CurrentHousehold.class);
  private final OneLook oneLook = new OneLook(transactions, current);
  private final LookFirst first = new LookFirst();
  private final PlatformTransactionManager asked = first.transactionManager(transactions);
  private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/");
  private final MockHttpServletResponse response = new MockHttpServletResponse();
  private final TransactionStatus look = mock(TransactionStatus.class);
  private final TransactionDefinition writes = new DefaultTransactionDefinition();

  static class Pages {
    String page() {
      return "page";
    }

    @WritesNothing
    String reckoned() {
      return "page";
    }

    @AtTheDoor
    String door() {
      return "page";
    }

    void file() {}
  }

  @BeforeEach
  void isSignedIn() {
    InHousehold una = mock(InHousehold.class);
    when(una.householdId()).thenReturn(UUID.randomUUID());
    when(current.who()).thenReturn(Optional.of(una));
    when(transactions.getTransaction(argThat(TransactionDefinition::isReadOnly))).thenReturn(look);
    RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
  }

  @AfterEach
  void goes() {
    RequestContextHolder.resetRequestAttributes();
  }

  @Test
  void aPageThatAsksNothingBeginsNothing() throws Exception {
    read("page");
    assertThat(OneLook.open()).isTrue();
    oneLook.postHandle(request, response, this, null);
    oneLook.afterCompletion(request, response, this, null);

    verify(transactions, never()).getTransaction(any());
    verify(transactions, never()).rollback(any());
    assertThat(OneLook.open()).isFalse();
  }

  @Test
  void theFirstQuestionBeginsItAndAllTakePartInIt() throws Exception {
    read("page");
    TransactionStatus one = asked.getTransaction(writes);
    asked.commit(one);
    asked.rollback(asked.getTransaction(writes));
    oneLook.postHandle(request, response, this, null);

    InOrder order = inOrder(transactions);
    order.verify(transactions).getTransaction(argThat(TransactionDefinition::isReadOnly));
    order.verify(transactions).getTransaction(writes);
    order.verify(transactions).commit(one);
    order.verify(transactions).getTransaction(writes);
    order.verify(transactions).rollback(look);
  }

  @Test
  void plainSqlBeginsItToo() throws Exception {
    DataSource store = mock(DataSource.class);
    when(store.getConnection()).thenReturn(mock(Connection.class));
    read("page");
    first.jdbcTemplate(store).execute((ConnectionCallback<Object>) connection -> null);

    verify(transactions).getTransaction(argThat(TransactionDefinition::isReadOnly));
  }

  @Test
  void aFailureEndsIt() throws Exception {
    read("page");
    asked.getTransaction(writes);
    assertThat(oneLook.resolveException(request, response, null, new SQLException())).isNull();
    oneLook.afterCompletion(request, response, this, null);

    verify(transactions, times(1)).rollback(look);
  }

  @ParameterizedTest
  @CsvSource({
    "GET,page,true",
    "POST,page,false",
    "POST,reckoned,true",
    "GET,door,false",
    "GET,file,false"
  })
  void isForPagesThatAreOnlyRead(String method, String page, boolean looked) throws Exception {
    request.setMethod(method);
    read(page);
    assertThat(OneLook.open()).isEqualTo(looked);
  }

  private void read(String page) throws Exception {
    Method shown = Pages.class.getDeclaredMethod(page);
    oneLook.preHandle(request, response, new HandlerMethod(new Pages(), shown));
  }
}
