package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.module.SimpleModule;

/**
 * What is sent is text that can be kept, and each field is sent once: a NUL, which no database
 * holds, and a second value of a field that has one are refused at the field, in forms and in JSON.
 */
@Configuration
public class PlainText implements WebMvcConfigurer, HandlerInterceptor {
  private static final char NUL = '\0';

  /** Why text that holds a NUL is refused. */
  public static final String NOT_KEPT = "It holds a character (NUL) that cannot be kept.";

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              for (String value : values) {
                if (name.indexOf(NUL) >= 0 || value.indexOf(NUL) >= 0) {
                  throw new Unreadable(name.replace(NUL, '?'), NOT_KEPT);
                }
              }
            });
    return true;
  }

  @Override
  public void addFormatters(FormatterRegistry formats) {
    formats.addConverter(String[].class, String.class, new Once());
  }

  /** The value of a field that has one. */
  private static final class Once implements Converter<String[], String> {
    @Override
    public String convert(String[] sent) {
      if (sent.length > 1) {
        throw new IllegalArgumentException("This field was sent more than once.");
      }
      return sent.length == 0 ? "" : sent[0];
    }
  }

  @Bean
  JsonMapperBuilderCustomizer keptText() {
    return json ->
        json.enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .addModule(new SimpleModule("plain text").addDeserializer(String.class, new Kept()));
  }

  /** Text without a NUL. */
  private static final class Kept extends StringDeserializer {
    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
      String text = super.deserialize(parser, context);
      if (text != null && text.indexOf(NUL) >= 0) {
        throw InvalidFormatException.from(parser, NOT_KEPT, text, String.class);
      }
      return text;
    }
  }
}
