package velvetcrock.web;

/** What pages tell that does not lie in the store, so that no count of what is written tells it. */
public interface BesideTheStore {
  /** Another whenever it is otherwise. */
  String mark();
}
