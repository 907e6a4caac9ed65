package juricast.core.board;

/** A picture under a page: a page of a PDF, or a photograph. @param file under which id its bytes are kept @param width in pixels */
public record Under(String file, int width, int height) {}
