package velvetcrock.web;

import java.io.StringWriter;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.context.IWebContext;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.engine.ITemplateHandler;
import org.thymeleaf.engine.OutputTemplateHandler;
import org.thymeleaf.model.IAttribute;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.model.IProcessingInstruction;
import org.thymeleaf.model.IStandaloneElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;
import velvetcrock.web.MadeParts.OfPage;

/**
 * The last hand over every page: whatever figure stands in its text, from a template or from the
 * core, is in the household's own units, with the other unit a tap or a look away, and every word
 * in its spelling; where something is refused, dates as it writes them. Nothing inside of an
 * element with {@code data-as-is} is touched, for that is somebody's own words.
 */
@Component
class OwnWordsDialect implements IPostProcessorDialect {
  private static final int AFTER_ALL_ELSE = 1000;

  @Override
  public String getName() {
    return "Own units and spelling";
  }

  @Override
  public int getDialectPostProcessorPrecedence() {
    return AFTER_ALL_ELSE;
  }

  @Override
  public Set<IPostProcessor> getPostProcessors() {
    return Set.of(new PostProcessor(TemplateMode.HTML, Marker.class, AFTER_ALL_ELSE));
  }

  /** Goes over one page; the template engine makes one for each. */
  public static final class Marker extends AbstractTemplateHandler {
    private static final Set<String> NO_TEXT = Set.of("script", "style", "textarea", "code");
    private static final Set<String> NO_MARKUP = Set.of("title", "option", "svg");
    private static final Set<String> SPOKEN = Set.of("aria-label", "title", "placeholder", "alt");

    private @Nullable OwnWords figures;
    private @Nullable ITemplateContext context;
    private final StringWriter parts = new StringWriter();
    private final Deque<Integer> begun = new ArrayDeque<>();
    private @Nullable ITemplateHandler page;
    private final Deque<String> untouched = new ArrayDeque<>();
    private final Deque<String> plain = new ArrayDeque<>();
    private final Deque<String> refused = new ArrayDeque<>();

    @Override
    public void setContext(ITemplateContext given) {
      super.setContext(given);
      context = given;
      if (given.getVariable("fmt") instanceof Formats formats) {
        figures = new OwnWords(formats);
      }
    }

    @Override
    public void handleText(IText text) {
      OwnWords own = figures;
      String given = text.getText();
      if (own == null || context == null || !untouched.isEmpty() || given.isBlank()) {
        super.handleText(text);
        return;
      }
      String said = refused.isEmpty() ? given : own.dated(given);
      String written =
          plain.isEmpty()
              ? own.marked(said)
              : "option".equals(plain.peek()) ? own.withOther(said) : own.text(said);
      super.handleText(
          written.equals(given) ? text : context.getModelFactory().createText(written));
    }

    @Override
    public void handleOpenElement(IOpenElementTag tag) {
      String name = tag.getElementCompleteName();
      enter(untouched, name, NO_TEXT.contains(name) || tag.hasAttribute("data-as-is"));
      enter(plain, name, NO_MARKUP.contains(name));
      enter(refused, name, says(tag, "wrong") || says(tag, "notice problem"));
      super.handleOpenElement(spoken(tag));
    }

    @Override
    public void handleStandaloneElement(IStandaloneElementTag tag) {
      super.handleStandaloneElement(spoken(tag));
    }

    @Override
    public void handleCloseElement(ICloseElementTag tag) {
      leave(untouched, tag.getElementCompleteName());
      leave(plain, tag.getElementCompleteName());
      leave(refused, tag.getElementCompleteName());
      super.handleCloseElement(tag);
    }

    /** Parts are kept as they leave here; see {@link MadePartsDialect}. */
    @Override
    public void handleProcessingInstruction(IProcessingInstruction mark) {
      switch (mark.getTarget()) {
        case MadePartsDialect.AS_MADE -> asIs(mark.getContent());
        case MadePartsDialect.BEGINS -> begin();
        case MadePartsDialect.ENDS -> end(mark.getContent());
        default -> super.handleProcessingInstruction(mark);
      }
    }

    private void asIs(String text) {
      super.handleText(getContext().getModelFactory().createText(text));
    }

    private void begin() {
      if (begun.isEmpty()) {
        page = getNext();
        setNext(new OutputTemplateHandler(parts));
      }
      begun.push(parts.getBuffer().length());
    }

    private void end(String number) {
      OfPage made =
          (OfPage)
              ((IWebContext) getContext()).getExchange().getAttributeValue(MadePartsDialect.PARTS);
      StringBuffer written = parts.getBuffer();
      made.made(number, written.substring(begun.pop()));
      if (begun.isEmpty()) {
        setNext(page);
        asIs(written.toString());
        written.setLength(0);
      }
    }

    private static boolean says(IOpenElementTag tag, String what) {
      String kinds = tag.getAttributeValue("class");
      return kinds != null && kinds.startsWith(what);
    }

    /** Counts elements of one name inside of one that is treated otherwise. */
    private static void enter(Deque<String> inside, String name, boolean begins) {
      if (inside.isEmpty() ? begins : inside.peek().equals(name)) {
        inside.push(name);
      }
    }

    private static void leave(Deque<String> inside, String name) {
      if (name.equals(inside.peek())) {
        inside.pop();
      }
    }

    private <T extends IProcessableElementTag> T spoken(T tag) {
      OwnWords own = figures;
      if (own == null || context == null || !untouched.isEmpty()) {
        return tag;
      }
      T written = tag;
      for (IAttribute attribute : tag.getAllAttributes()) {
        String value = attribute.getValue();
        if (value != null && SPOKEN.contains(attribute.getAttributeCompleteName())) {
          written =
              context
                  .getModelFactory()
                  .setAttribute(written, attribute.getAttributeCompleteName(), own.text(value));
        }
      }
      return written;
    }
  }
}
