<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Server\Bank\Api\Input\TryAllInput;
use ChalkLadder\Server\Bank\Api\Input\TryInput;
use ChalkLadder\Server\Bank\Api\View\TriedView;
use ChalkLadder\Server\Bank\Api\View\TryView;
use ChalkLadder\Server\Identity\Teams;

/** Checks a response against a question as it stands in the editor, saved or not; one with variables, against one draw. */
final readonly class TryOut
{
    public function __construct(private Teams $teams)
    {
    }

    public function check(string $teamId, TryInput $input): TryView
    {
        return self::view(ItemTemplate::read($input->item)->own('try'), $input->response, $this->teams->markStep($teamId));
    }

    /** What a class might answer, all at once. */
    public function checkAll(string $teamId, TryAllInput $input): TriedView
    {
        $own = ItemTemplate::read($input->item)->own('try');
        $step = $this->teams->markStep($teamId);

        return new TriedView(array_map(static fn (array $given): TryView => self::view($own, $given, $step), $input->responses));
    }

    /** @param array<string, mixed> $response */
    private static function view(OwnItem $own, array $response, BigRational $step): TryView
    {
        $given = ResponseReader::fromArray($response);
        $outcome = $own->check($given);
        $passedOver = $own->passedOver($given);

        return new TryView(
            $outcome->credit === null ? null : (string) $outcome->credit,
            $outcome->verdict->value,
            $outcome->line,
            $outcome->readAs,
            $outcome->feedback,
            $outcome->misconceptions,
            array_map(Evaluator::words(...), $own->numbers),
            $outcome->credit === null ? null : NumberText::write(Marks::of($outcome->credit, $own->item->points, $step)),
            $own->item->rule->key(),
            array_map(static fn (int $n, string $why): string => "Check $n is passed over: $why", array_keys($passedOver), $passedOver),
        );
    }
}
