package stillpond.app.reading;

import java.io.DataInput;
import java.io.DataOutput;
import java.io.IOException;
import stillpond.core.ink.Picture;

/** Work on a picture that may take long if somebody means harm, and is therefore done where pictures are read. It has a constructor without parameters. */
public interface PictureWork {

    /**
     * @param argument what {@link PictureFiles#work} was given
     * @param result what it returns
     * @throws stillpond.core.format.UnreadableFile with a message for the user
     */
    void run(Picture picture, DataInput argument, DataOutput result) throws IOException;
}
