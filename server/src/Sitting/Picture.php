<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\Draw;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Paper\Edition;

/**
 * Draws a sitting for its student. This is the one place where questions cross to a student's device, and it lets out
 * no more than the feedback plan allows.
 */
final readonly class Picture
{
    /**
     * @param list<Answer> $answers
     */
    public function draw(Edition $edition, Conditions $conditions, string $seed, Walk $walk, SittingState $state, array $answers, StoredSitting $stored): SittingView
    {
        $byStep = [];
        foreach ($answers as $answer) {
            $byStep[$answer->entry][$answer->try] = $answer;
        }
        $tellsAll = $conditions->feedback->tellsAll($state);
        $score = Score::of($edition->paper(), $walk, Answer::credits($answers), $stored->markStep);
        $numbers = [];
        $steps = [];
        foreach ($walk->visits as $pass => $visit) {
            foreach ($visit->entries as $id) {
                $entry = $edition->paper()->entry($id);
                if ($entry?->source !== null) {
                    $s = $entry->source;
                    $steps[] = new StepView($id, $visit->try, $pass + 1, 0, '0', null, new SourceView($s->title, $s->html, $s->picture, $s->alt), null, 0, false, false, null, null, 0, null);
                }
                $item = $edition->own($id, $seed)?->item;
                if ($item === null) {
                    continue;
                }
                // Numbers follow the student's own order, so that a shuffled paper still counts 1, 2, 3.
                $numbers[$id] ??= count($numbers) + 1;
                $answer = $byStep[$id][$visit->try] ?? null;
                $steps[] = new StepView(
                    $id,
                    $visit->try,
                    $pass + 1,
                    $numbers[$id],
                    NumberText::write($item->points),
                    self::face($item, $conditions, $seed, $id),
                    null,
                    $answer?->response->toArray(),
                    $answer->counter ?? 0,
                    $state === SittingState::Open && $walk->isOpen($id, $visit->try) && !($answer->settled ?? false),
                    $answer->settled ?? false,
                    ($answer->hintOpened ?? false) ? $item->hint : null,
                    self::told($item, $answer, $conditions->feedback, $tellsAll, $score->marks[$id] ?? null),
                    $answer->millis ?? 0,
                    $answer?->confidence,
                );
            }
        }
        $current = $walk->current();

        return new SittingView(
            $stored->id,
            $stored->handoutId,
            $edition->paper()->title,
            // Whether marking is done is the teachers' business until the work comes back.
            $state === SittingState::Marked ? SittingState::HandedIn->value : $state->value,
            $stored->attempt,
            $current === null ? '' : ($edition->paper()->section($current->section)->title ?? ''),
            count($walk->visits),
            $steps,
            $stored->at,
            $walk->mayGoOn($edition->paper(), $edition->machineMarked()),
            $walk->ended,
            $conditions->feedback->value,
            $edition->paper()->mastery?->sentence() ?? '',
            $tellsAll && $score->waiting === [] ? NumberText::write($score->total) : null,
            NumberText::write($score->possible),
            $stored->message,
            $stored->reply,
            $stored->handedInAt,
        );
    }

    private static function face(Item $item, Conditions $conditions, string $seed, string $entry): FaceView
    {
        $rule = $item->rule;
        $options = [];
        if ($rule instanceof ChoiceRule) {
            $order = $rule->options;
            if ($conditions->shuffleOptions) {
                $last = $rule->keepLast ? array_pop($order) : null;
                $order = Draw::order($order, $seed, 'options.'.$entry);
                if ($last !== null) {
                    $order[] = $last;
                }
            }
            $options = array_map(static fn (Option $o): OptionFaceView => new OptionFaceView($o->id, $o->text), $order);
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

    private static function told(Item $item, ?Answer $answer, FeedbackPlan $plan, bool $tellsAll, ?BigRational $marks): ?ToldView
    {
        if (!$tellsAll) {
            if (!$plan->tellsAtOnce() || $answer === null || !$answer->settled) {
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

        return new ToldView($verdict, $answer->outcome->feedback ?? '', self::key($item), $item->explanation, $verdict === 'by hand' || $marks === null ? null : NumberText::write($marks), $answer->comment ?? '', $levels);
    }

    /** The key in words; HTML for choices, since options may hold maths. */
    public static function key(Item $item): string
    {
        $rule = $item->rule;

        return match (true) {
            $rule instanceof ChoiceRule => implode('', array_map(static fn (Option $o): string => $o->text, $rule->keys())),
            $rule instanceof TextRule => htmlspecialchars((array_values(array_filter($rule->forms, static fn (Form $f): bool => $f->credit->isEqualTo(1)))[0] ?? null)->text ?? ''),
            $rule instanceof NumberRule => self::numberKey($rule),
            default => '',
        };
    }

    private static function numberKey(NumberRule $rule): string
    {
        $target = array_values(array_filter($rule->targets, static fn (Target $t): bool => $t->credit->isEqualTo(1)))[0] ?? null;

        return $target === null ? '' : NumberText::write($target->value).($rule->unit === '' ? '' : ' '.$rule->unit);
    }
}
