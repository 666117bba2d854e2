package velvetcrock.products;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RecipeVersionRepository extends JpaRepository<RecipeVersion, UUID> {
  List<RecipeVersion> findByRecipeIdOrderByNumberDesc(UUID recipeId, Limit most);

  Optional<RecipeVersion> findByRecipeIdAndNumber(UUID recipeId, int number);

  @Query(
      "select v from Recipe r join RecipeVersion v on v.recipeId = r.id and v.number ="
          + " (select max(w.number) from RecipeVersion w where w.recipeId = r.id)")
  List<RecipeVersion> newest();
}
