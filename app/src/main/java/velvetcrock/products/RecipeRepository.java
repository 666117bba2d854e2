package velvetcrock.products;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecipeRepository extends JpaRepository<Recipe, UUID> {
  List<Recipe> findAllByOrderByName();
}
