package velvetcrock.products;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.core.product.ProductState;
import velvetcrock.web.WorthKeeping;

/** What is in the pan, with its steps. */
@Component
@Order(3)
class ProductsKept implements WorthKeeping {
  private final Products products;

  ProductsKept(Products products) {
    this.products = products;
  }

  @Override
  public List<Page> pages() {
    return Stream.concat(
            Stream.of("/products"),
            products.standing().stream()
                .filter(product -> product.state().status() == ProductState.Status.IN_THE_PAN)
                .map(product -> "/products/" + product.code())
                .flatMap(page -> Stream.of(page, page + "/beside")))
        .map(path -> new Page(path, ""))
        .toList();
  }
}
