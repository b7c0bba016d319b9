<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Response;

/** Checks a response against a question as it stands in the editor, saved or not. */
final class TryOut
{
    public function check(TryInput $input): TryView
    {
        $outcome = ItemReader::read($input->item)->check(Response::fromArray($input->response));

        return new TryView(
            $outcome->credit === null ? null : (string) $outcome->credit,
            $outcome->verdict->value,
            $outcome->line,
            $outcome->readAs,
            $outcome->feedback,
            $outcome->misconceptions,
        );
    }
}
