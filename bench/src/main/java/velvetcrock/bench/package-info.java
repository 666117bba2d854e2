/** How fast the core reckons. It measures and must not be needed by anything. */
package velvetcrock.bench;
