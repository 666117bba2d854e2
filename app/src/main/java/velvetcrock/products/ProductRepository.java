package velvetcrock.products;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface ProductRepository extends JpaRepository<ProductRow, UUID> {
  Optional<ProductRow> findByCode(String code);

  boolean existsByCode(String code);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from ProductRow p where p.code = :code")
  Optional<ProductRow> lock(String code);

  @Query(
      "select p from ProductRow p where p.status in (velvetcrock.core.product.ProductState$Status.IN_THE_PAN,"
          + " velvetcrock.core.product.ProductState$Status.POURED) order by p.bestBefore, p.code")
  List<ProductRow> standing(Limit most);

  @Query(
      "select p from ProductRow p where p.status = velvetcrock.core.product.ProductState$Status.IN_THE_PAN"
          + " or p.status = velvetcrock.core.product.ProductState$Status.POURED and p.bestBefore <= :until"
          + " order by p.bestBefore, p.code")
  List<ProductRow> wanting(LocalDate until, Limit most);

  @Query(
      "select p from ProductRow p where p.status in (velvetcrock.core.product.ProductState$Status.GONE,"
          + " velvetcrock.core.product.ProductState$Status.ABANDONED) order by p.madeOn desc, p.id")
  List<ProductRow> past(Limit most);

  @Query("select p from ProductRow p where p.wax = :wax order by p.madeOn desc, p.id")
  List<ProductRow> testedWith(String wax, Limit most);

  @Query(
      "select p from ProductRow p where p.making = velvetcrock.core.making.ProductKind.WHIPPED_BUTTER"
          + " and p.status <> velvetcrock.core.product.ProductState$Status.ABANDONED"
          + " order by p.madeOn desc, p.id")
  List<ProductRow> whipped(Limit most);

  @Query("select p from ProductRow p where p.troubled order by p.madeOn desc, p.id")
  List<ProductRow> troubled(Limit most);

  @Query(
      "select p.code from ProductRow p where p.status = velvetcrock.core.product.ProductState$Status.POURED"
          + " and p.labelledUntil > p.bestBefore and p.bestBefore >= :today order by p.bestBefore, p.code")
  List<String> toPrintAgain(LocalDate today, Limit most);

  @Query("select p from ProductRow p where p.id in :ids")
  List<ProductRow> among(List<UUID> ids);

  @Query("select p from ProductRow p order by p.madeOn desc, p.id")
  List<ProductRow> newest(Limit most);
}
