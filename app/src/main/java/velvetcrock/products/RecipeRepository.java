package velvetcrock.products;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RecipeRepository extends JpaRepository<Recipe, UUID> {
  List<Recipe> findAllByOrderByNameAscIdAsc();
}
