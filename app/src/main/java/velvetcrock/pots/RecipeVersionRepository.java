package velvetcrock.pots;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecipeVersionRepository extends JpaRepository<RecipeVersion, UUID> {
  List<RecipeVersion> findByRecipeIdOrderByNumberDesc(UUID recipeId);
}
