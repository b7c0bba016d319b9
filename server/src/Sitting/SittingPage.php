<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Draw;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Sitting\Api\View\FaceView;
use ChalkLadder\Server\Sitting\Api\View\OptionFaceView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Api\View\SourceView;
use ChalkLadder\Server\Sitting\Api\View\StepView;
use ChalkLadder\Server\Sitting\Api\View\ToldView;

/**
 * Draws a sitting for its student. This is the one place where questions cross to a student's device, and it lets out
 * no more than the feedback plan allows.
 */
final readonly class SittingPage
{
    /** @param list<Answer> $answers */
    public function draw(StoredSitting $sitting, array $answers): SittingView
    {
        $edition = $sitting->edition;
        $conditions = $sitting->conditions;
        $walk = $sitting->walk;
        $state = $sitting->state;
        $byStep = [];
        foreach ($answers as $answer) {
            $byStep[$answer->entry][$answer->try] = $answer;
        }
        $tellsAll = $conditions->feedback->tellsAll($state);
        $tellsSettled = $conditions->feedback->tellsAtOnce();
        $over = $state->isOver();
        $score = Score::of($edition->paper(), $walk, Answer::credits($answers), $sitting->markStep);
        $numbers = $walk->numbers($edition->paper());
        $steps = [];
        foreach ($walk->visits as $pass => $visit) {
            foreach ($visit->entries as $id) {
                $entry = $edition->paper()->entry($id);
                if ($entry?->source !== null) {
                    $s = $entry->source;
                    $steps[] = new StepView(
                        $id,
                        $visit->try,
                        $pass + 1,
                        0,
                        '0',
                        null,
                        new SourceView($s->title, $s->html, $s->picture, $s->alt),
                        null,
                        0,
                        false,
                        false,
                        null,
                        null,
                        0,
                        null,
                    );
                }
                $item = $sitting->own($id)?->item;
                if ($item === null) {
                    continue;
                }
                $answer = $byStep[$id][$visit->try] ?? null;
                $steps[] = new StepView(
                    $id,
                    $visit->try,
                    $pass + 1,
                    $numbers[$id],
                    NumberText::write($item->points),
                    self::face($item, $sitting, $id),
                    null,
                    $answer === null ? null : $sitting->veil($id)->cover($answer->response)->toArray(),
                    $answer->counter ?? 0,
                    $state === SittingState::Open && $walk->isOpen($id, $visit->try) && !($answer->settled ?? false),
                    $answer->settled ?? false,
                    ($answer->hintOpened ?? false) ? $item->hint : null,
                    self::told(
                        $item,
                        $answer,
                        $tellsAll,
                        $tellsSettled && ($over || ($answer->settled ?? false)),
                        $score->tries[$id][$visit->try] ?? null,
                    ),
                    $answer->millis ?? 0,
                    $answer?->confidence,
                );
            }
        }
        $current = $walk->current();

        return new SittingView(
            $sitting->id,
            $sitting->handoutId,
            $edition->paper()->title,
            // Whether marking is done is the teachers' business until the work comes back.
            $state === SittingState::Marked ? SittingState::HandedIn->value : $state->value,
            $sitting->attempt,
            $current === null ? '' : ($edition->paper()->section($current->section)->title ?? ''),
            count($walk->visits),
            $steps,
            $sitting->at,
            $walk->mayGoOn($edition->paper(), $edition->machineMarked()),
            $walk->ended,
            $conditions->feedback->value,
            $edition->paper()->mastery?->sentence() ?? '',
            $tellsAll && $score->waiting === [] ? NumberText::write($score->total) : null,
            NumberText::write($score->possible),
            $sitting->message,
            $sitting->reply,
            $sitting->handedInAt,
        );
    }

    private static function face(Item $item, StoredSitting $sitting, string $entry): FaceView
    {
        $veil = $sitting->veil($entry);
        $rule = $item->rule;
        $options = [];
        if ($rule instanceof ChoiceRule) {
            $order = $rule->options;
            if ($sitting->conditions->shuffleOptions) {
                $last = $rule->keepLast ? array_pop($order) : null;
                $order = Draw::order($order, $sitting->seed, 'options.'.$entry);
                if ($last !== null) {
                    $order[] = $last;
                }
            }
            $options = array_map(static fn (Option $o): OptionFaceView => new OptionFaceView($veil->shown($o->id), $o->text), $order);
        }

        return new FaceView(
            $item->type()->value,
            $item->prompt,
            $options,
            $rule instanceof ChoiceRule && $rule->several,
            $rule instanceof NumberRule ? $rule->unit : '',
            $rule instanceof NumberRule ? $rule->unitUse : 'none',
            $rule instanceof OpenRule ? array_map(static fn ($c): string => $c->name, $rule->criteria) : [],
            $item->hint !== '',
            $item->confidence,
        );
    }

    /** @param BigRational|null $marks of this try */
    private static function told(Item $item, ?Answer $answer, bool $tellsAll, bool $tellsHow, ?BigRational $marks): ?ToldView
    {
        if (!$tellsAll) {
            if (!$tellsHow || $answer === null) {
                return null;
            }

            return new ToldView($answer->verdict()->value, $answer->outcome->feedback, null, null, null, '', []);
        }
        $levels = [];
        if ($item->rule instanceof OpenRule && $answer?->handLevels !== null) {
            foreach ($item->rule->criteria as $i => $criterion) {
                $level = $criterion->levels[$answer->handLevels[$i] ?? -1] ?? null;
                if ($level !== null) {
                    $levels[] = $criterion->name.': '.$level->descriptor;
                }
            }
        }
        $verdict = $answer?->verdict()->value ?? 'none';

        return new ToldView(
            $verdict,
            $answer->outcome->feedback ?? '',
            Words::key($item),
            $item->explanation,
            $verdict === 'by hand' || $marks === null ? null : NumberText::write($marks),
            $answer->comment ?? '',
            $levels,
        );
    }
}
