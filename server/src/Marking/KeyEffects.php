<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Marking\Given;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Core\Marking\Remark;
use ChalkLadder\Core\Sitting\Checking;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Marking\Api\View\EffectView;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Sitting\ReadModel\GivenAnswer;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;
use ChalkLadder\Server\Sitting\ReadModel\Remarking;

/** Who gains and who loses by another key. Nothing is changed by asking. */
final readonly class KeyEffects
{
    public function __construct(private Remarking $remarking)
    {
    }

    /**
     * @param ItemTemplate $after the question with the other key
     * @param BigRational  $step  the team's smallest mark
     * @param bool         $hold  whether the answers are to stay as they are until the act ends
     */
    public function of(PublishedPaper $edition, string $entry, ItemTemplate $after, BigRational $step, bool $hold): KeyEffect
    {
        $item = $edition->item($entry) ?? throw Problem::notFound('The question');
        $answers = $this->remarking->answers($edition->id, $entry, $hold);
        // Where numbers are a student's own, or a check looks back, like answers may be worth different credit.
        $each = $after->hasVariables() || $item->looksBackTo() !== [];
        $given = array_map(
            static fn (GivenAnswer $a): Given => new Given(
                $a->sittingId.'|'.$a->try,
                $a->response,
                $a->byHand,
                $each ? $a->sittingId.'|'.$a->try : '',
            ),
            $answers,
        );
        $check = $each ? $this->checkEach(
            $edition,
            $entry,
            $item,
            $after,
            $answers,
        ) : static fn (Given $g, bool $new): Outcome => ($new ? $after->sample() : $item)->check($g->response);
        $changes = Remark::changes(
            $given,
            static fn (Given $g): Outcome => $check($g, false),
            static fn (Given $g): Outcome => $check($g, true),
        );
        $gains = $loses = $altered = $marked = $known = [];
        $same = $byHand = $returned = 0;
        foreach ($changes as $i => $change) {
            $answer = $answers[$i];
            $remarked = new Remarked($answer->sittingId, $entry, $answer->try, $change->before, $change->after);
            if ($change->altersAnything()) {
                $altered[] = $remarked;
            }
            if ($change->keptByHand) {
                ++$byHand;
                continue;
            }
            if (!$change->altersCredit()) {
                ++$same;
                continue;
            }
            $marked[] = $remarked;
            // Like answers share their outcomes, so what a change is worth is reckoned once for all of them.
            [$before, $now, $words] = $known[spl_object_id($change->before).'.'.$answer->try.'.'.$answer->hintsOpened] ??= [
                self::marks($edition, $item, $change->before, $answer, $step),
                self::marks($edition, $item, $change->after, $answer, $step),
                ($each ? $edition->own($entry, $answer->seed, $answer->try)->item ?? $item : $item)->rule->inWords($answer->response),
            ];
            $effect = new EffectView($answer->student, $words, NumberText::write($before), NumberText::write($now));
            if ($now->isGreaterThan($before)) {
                $gains[] = $effect;
            } elseif ($change->before->credit !== null) {
                $loses[] = $effect;
            } else {
                // It waited for its key, and earns nothing by it.
                ++$same;
            }
            $returned += $answer->isReturned ? 1 : 0;
        }

        return new KeyEffect($gains, $loses, $same, $byHand, $returned, $altered, $marked);
    }

    /**
     * @param list<GivenAnswer> $answers
     *
     * @return \Closure(Given, bool): Outcome under the old key, or the new one
     */
    private function checkEach(PublishedPaper $edition, string $entry, Item $item, ItemTemplate $after, array $answers): \Closure
    {
        $beside = $item->looksBackTo() === [] ? [] : $this->remarking->everything($edition->id);
        $given = [];
        foreach ($answers as $answer) {
            $given[$answer->sittingId.'|'.$answer->try] = $answer;
        }

        return static function (Given $one, bool $new) use ($edition, $entry, $after, $given, $beside): Outcome {
            $answer = $given[$one->case];
            $own = static fn (string $id, int $try): ?OwnItem => $id === $entry && $new
                ? $after->with($edition->own($id, $answer->seed, $try)->numbers ?? [])
                : $edition->own($id, $answer->seed, $try);

            $checking = new Checking($edition->paper(), $own, $beside[$answer->sittingId] ?? []);

            return $checking->outcome($entry, $one->response, $answer->try);
        };
    }

    private static function marks(
        PublishedPaper $edition,
        Item $item,
        Outcome $outcome,
        GivenAnswer $answer,
        BigRational $step,
    ): BigRational {
        $credit = $item->afterHints($outcome->credit ?? BigRational::zero(), $answer->hintsOpened);

        return Marks::of(Walk::bestCredit($edition->paper(), [$answer->try => $credit]), $item->points, $step);
    }
}
