package velvetcrock.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.context.IWebContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IModel;
import org.thymeleaf.model.IModelFactory;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeModelProcessor;
import org.thymeleaf.processor.element.IElementModelStructureHandler;
import org.thymeleaf.standard.StandardDialect;
import org.thymeleaf.standard.expression.ExpressionSequenceUtils;
import org.thymeleaf.standard.expression.IStandardExpression;
import org.thymeleaf.templatemode.TemplateMode;
import velvetcrock.web.MadeParts.MadeOf;
import velvetcrock.web.MadeParts.OfPage;

/**
 * {@code crock:made-of} on an element: what is inside is taken as it was made before of the same,
 * see {@link MadeParts}. Where it has to be made, marks tell the {@link OwnWordsDialect last hand}
 * where it begins and ends. After {@code th:each} and {@code th:if} of the same element, before all
 * else; it cannot stand beside {@code th:replace}.
 */
@Component
class MadePartsDialect extends AbstractProcessorDialect {
  /** Marks, as instructions that no page has: a part as it was made, where one begins and ends. */
  static final String AS_MADE = "as-made";

  static final String BEGINS = "made-of";
  static final String ENDS = "made";

  /** Under this name the parts of a page are with its request. */
  static final String PARTS = OfPage.class.getName();

  private static final int AFTER_EACH_AND_IF = 350;
  private static final String A_FILE = Assets.PATH + "flecks.svg";

  private final MadeParts parts;

  MadePartsDialect(MadeParts parts) {
    super("Parts as they were made", "crock", StandardDialect.PROCESSOR_PRECEDENCE);
    this.parts = parts;
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new MadeOfProcessor(prefix, parts));
  }

  private static final class MadeOfProcessor extends AbstractAttributeModelProcessor {
    private final MadeParts parts;

    MadeOfProcessor(String prefix, MadeParts parts) {
      super(TemplateMode.HTML, prefix, null, false, "made-of", true, AFTER_EACH_AND_IF, true);
      this.parts = parts;
    }

    @Override
    protected void doProcess(
        ITemplateContext context,
        IModel model,
        AttributeName attribute,
        String value,
        IElementModelStructureHandler handler) {
      if (!(context instanceof IWebContext web)
          || !(context.getVariable("fmt") instanceof Formats formats)) {
        return;
      }
      IModelFactory factory = context.getModelFactory();
      OfPage page = page(web);
      MadeOf of =
          new MadeOf(
              context.getTemplateData().getTemplate() + ":" + model.get(0).getLine(),
              things(context, value),
              formats.units(),
              formats.customs(),
              formats.today(),
              page.files());
      String asMade = page.asMade(of);
      if (asMade != null) {
        model.reset();
        model.add(factory.createProcessingInstruction(AS_MADE, asMade));
        return;
      }
      String number = page.begin(of);
      model.insert(0, factory.createProcessingInstruction(BEGINS, number));
      model.add(factory.createProcessingInstruction(ENDS, number));
    }

    private OfPage page(IWebContext web) {
      if (web.getExchange().getAttributeValue(PARTS) instanceof OfPage page) {
        return page;
      }
      String token =
          web.getExchange().getAttributeValue(CsrfToken.class.getName())
                  instanceof CsrfToken against
              ? against.getToken()
              : "";
      List<String> words =
          SamePage.newEachTime(
              token, FreshKeys.given(RequestContextHolder.currentRequestAttributes()));
      OfPage page = parts.new OfPage(words, web.getExchange().transformURL(A_FILE));
      web.getExchange().setAttributeValue(PARTS, page);
      return page;
    }

    private static List<@Nullable Object> things(ITemplateContext context, String value) {
      List<@Nullable Object> things = new ArrayList<>();
      for (IStandardExpression each :
          ExpressionSequenceUtils.parseExpressionSequence(context, value)) {
        things.add(each.execute(context));
      }
      return things;
    }
  }
}
