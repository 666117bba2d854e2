package velvetcrock.api;

import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.jackson.ModelResolver;
import io.swagger.v3.core.jackson.TypeNameResolver;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the OpenAPI document is headed, and how it names what is sent and what is answered. */
@Configuration
class ApiDocument {
  @Bean
  OpenAPI heading() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Velvet Crock")
                .version("1")
                .description(
                    "The reckonings of infused oils, and a household’s log. Field names carry their"
                        + " units; errors are RFC 9457 problem documents."));
  }

  /** A request and its answer share a name in the code, one in each holder; not in the document. */
  @Bean
  ModelConverter names(ObjectMapperProvider mappers) {
    return new ModelResolver(
        mappers.jsonMapper(),
        new TypeNameResolver() {
          @Override
          protected String getNameOfClass(Class<?> type) {
            Class<?> holder = type.getEnclosingClass();
            return holder == Requests.class
                ? type.getSimpleName() + "Request"
                : holder == Answers.class ? type.getSimpleName() + "Answer" : type.getSimpleName();
          }
        });
  }
}
