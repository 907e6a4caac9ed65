/** Steps of the ladder, moments and worries over HTTP (needs G1, G3, G8). Begin with {@link juricast.server.conduct.ConductController}. */
package juricast.server.conduct;
