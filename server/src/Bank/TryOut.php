<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Bank\Api\Input\TryAllInput;
use ChalkLadder\Server\Bank\Api\Input\TryInput;
use ChalkLadder\Server\Bank\Api\View\TriedView;
use ChalkLadder\Server\Bank\Api\View\TryView;

/** Checks a response against a question as it stands in the editor, saved or not; one with variables, against one draw. */
final class TryOut
{
    public function check(TryInput $input): TryView
    {
        return self::view(ItemTemplate::read($input->item)->own('try'), $input->response);
    }

    /** What a class might answer, all at once. */
    public function checkAll(TryAllInput $input): TriedView
    {
        $own = ItemTemplate::read($input->item)->own('try');

        return new TriedView(array_map(static fn (array $response): TryView => self::view($own, $response), $input->responses));
    }

    /** @param array<string, mixed> $response */
    private static function view(OwnItem $own, array $response): TryView
    {
        $outcome = $own->check(ResponseReader::fromArray($response));

        return new TryView(
            $outcome->credit === null ? null : (string) $outcome->credit,
            $outcome->verdict->value,
            $outcome->line,
            $outcome->readAs,
            $outcome->feedback,
            $outcome->misconceptions,
            array_map(Evaluator::words(...), $own->numbers),
        );
    }
}
