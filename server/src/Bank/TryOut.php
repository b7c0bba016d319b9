<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Bank\Api\Input\TryInput;
use ChalkLadder\Server\Bank\Api\View\TryView;

/** Checks a response against a question as it stands in the editor, saved or not; one with variables, against one draw. */
final class TryOut
{
    public function check(TryInput $input): TryView
    {
        $own = ItemTemplate::read($input->item)->own('try');
        $outcome = $own->check(ResponseReader::fromArray($input->response));

        return new TryView(
            $outcome->credit === null ? null : (string) $outcome->credit,
            $outcome->verdict->value,
            $outcome->line,
            $outcome->readAs,
            $outcome->feedback,
            $outcome->misconceptions,
            array_map(NumberText::write(...), $own->numbers),
        );
    }
}
