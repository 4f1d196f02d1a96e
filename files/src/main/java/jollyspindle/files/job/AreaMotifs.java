package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.param.Params;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

/** Reads and writes the motifs of areas. */
final class AreaMotifs {

    private AreaMotifs() {}

    static <M extends AreaMotif> void write(ObjectNode node, M motif) {
        AreaMotifType<M> type = AreaMotifTypes.of(motif);
        node.put("motif", type.code());
        ParamFields.write(node, type.params(), motif);
    }

    static AreaMotif read(Fields fields) throws FileTrouble {
        String code = fields.oneOf(
                "motif", AreaMotifTypes.ALL.stream().map(AreaMotifType::code).toList());
        Params<? extends AreaMotif> params =
                AreaMotifTypes.of(code).orElseThrow().params();
        ParamFields.refuseOthers(fields, AreaMotifTypes.ALL.stream().map(AreaMotifType::params), params);
        return ParamFields.read(fields, params);
    }
}
