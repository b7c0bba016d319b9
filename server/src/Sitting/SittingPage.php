<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Hint;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Paper\Api\View\PlacedSourceView;
use ChalkLadder\Server\Sitting\Api\View\CallView;
use ChalkLadder\Server\Sitting\Api\View\NoteView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Api\View\SkillView;
use ChalkLadder\Server\Sitting\Api\View\StepView;
use ChalkLadder\Server\Sitting\Api\View\SupportView;
use ChalkLadder\Server\Sitting\Api\View\ToldView;
use Symfony\Component\Clock\ClockInterface;

/**
 * Draws a sitting for its student. This is the one place where questions cross to a student's device, and it lets out
 * no more than the feedback plan allows.
 */
final readonly class SittingPage
{
    public function __construct(private Terms $terms, private ClockInterface $clock)
    {
    }

    /**
     * @param list<Answer>   $answers
     * @param int            $live    the last message that this holds, where it is known
     * @param list<NoteView> $notes   what the teacher has written to the student
     */
    public function draw(
        string $teamId,
        StoredSitting $sitting,
        array $answers,
        int $live = 0,
        ?CallView $call = null,
        array $notes = [],
    ): SittingView {
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
        $score = Score::of($edition->paper(), $walk, Answer::credits($answers, $edition), $sitting->markStep);
        $numbers = $walk->numbers($edition->paper());
        $steps = [];
        $sources = [];
        foreach ($walk->visits as $pass => $visit) {
            $section = $edition->paper()->section($visit->section);
            $sources[$visit->section] = PlacedSourceView::of($section->entries ?? []);
            foreach ($visit->entries as $id) {
                $entry = $edition->paper()->entry($id);
                if ($entry?->source !== null) {
                    $steps[] = new StepView(
                        $id,
                        $visit->try,
                        $pass + 1,
                        0,
                        '0',
                        null,
                        true,
                        [],
                        null,
                        null,
                        0,
                        false,
                        false,
                        [],
                        '0',
                        null,
                        0,
                        null,
                        null,
                        false,
                    );
                }
                $item = $sitting->own($id, $visit->try)?->item;
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
                    $item->face($sitting->showing($id)),
                    false,
                    array_column($section?->beside($id) ?? [], 'id'),
                    $section?->looksAt($id)?->toArray(),
                    $answer === null ? null : $sitting->covered($id, $visit->try, $answer->response)->toArray(),
                    $answer->counter ?? 0,
                    $state === SittingState::Open && $walk->isOpen($id, $visit->try) && !($answer->settled ?? false),
                    $answer->settled ?? false,
                    array_map(static fn (Hint $h): string => $h->text, array_slice($item->hints, 0, $answer->hintsOpened ?? 0)),
                    NumberText::write($item->costOf($answer->hintsOpened ?? 0)->multipliedBy($item->points)->simplified()),
                    self::told(
                        $item,
                        $answer,
                        $tellsAll,
                        $tellsSettled && ($over || ($answer->settled ?? false)),
                        $score->tries[$id][$visit->try] ?? null,
                    ),
                    $answer->millis ?? 0,
                    $answer?->confidence,
                    $answer?->working?->toArray(),
                    $answer !== null && $sitting->isMended($answer),
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
            $current === null ? '' : ($edition->paper()->section($current->section)->instructions ?? ''),
            count($walk->visits),
            array_merge(...array_values($sources)),
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
            $this->skills($teamId, $sitting, $answers),
            SupportView::of($sitting->support),
            $state === SittingState::Open ? $sitting->hold : null,
            $state === SittingState::Open ? $sitting->secondsLeft($this->clock->now()) : null,
            $call,
            $notes,
            $live,
        );
    }

    /**
     * Passes that were left count, since what comes back tells as much of them; answers of the open pass count only once the student has
     * been told how they stand.
     *
     * @param list<Answer> $answers
     *
     * @return list<SkillView>
     */
    private function skills(string $teamId, StoredSitting $sitting, array $answers): array
    {
        $paper = $sitting->edition->paper();
        $shown = $paper->mastery?->shown;
        $feedback = $sitting->conditions->feedback;
        // Where nothing is to be told it is not told by this either, and after handing in not before all the rest.
        $early = $sitting->state->isOver() && !$feedback->tellsAll($sitting->state);
        if ($shown === null || $feedback === FeedbackPlan::Nothing || $early) {
            return [];
        }
        $walk = $sitting->walk;
        $told = array_filter($answers, static fn (Answer $a): bool => $a->settled || !$walk->isOpen($a->entry, $a->try));
        $marked = $sitting->edition->machineMarked();
        $evidence = $walk->evidence($paper, Answer::outcomes(array_values($told)), $marked, $feedback->tellsAtOnce());
        $names = $this->terms->skillNames($teamId);

        return array_map(static fn (string $skill): SkillView => new SkillView(
            $names[$skill] ?? 'a skill that is gone',
            $shown->wanted($evidence[$skill] ?? []),
            $shown->isShown($evidence[$skill] ?? []),
            array_values(array_filter($marked->entries, static fn (string $entry): bool => $marked->skill($entry) === $skill)),
        ), $marked->skills());
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
        $levels = $item->rule instanceof Rubric ? $item->rule->levelsInWords($answer->handLevels ?? []) : [];
        $verdict = $answer?->verdict()->value ?? 'none';

        return new ToldView(
            $verdict,
            $answer->outcome->feedback ?? '',
            $item->rule->key(),
            $item->explanation,
            $verdict === 'by hand' || $marks === null ? null : NumberText::write($marks),
            $answer->comment ?? '',
            $levels,
        );
    }
}
