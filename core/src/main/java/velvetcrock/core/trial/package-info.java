/** What jars that were judged side by side show. */
@org.jspecify.annotations.NullMarked
package velvetcrock.core.trial;
