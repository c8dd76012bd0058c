package org.kindgirdle.server.projection;

import jakarta.persistence.Converter;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.server.persistence.NamesInOrder;

/** What is to be done beside a job: in the layer's row, where the index of the walk holds it. */
@Converter
class AlsoDoInOrder extends NamesInOrder<AlsoDo> {

    AlsoDoInOrder() {
        super(AlsoDo.class);
    }
}
