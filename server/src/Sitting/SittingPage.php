<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Hint;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Paper\Api\View\PlacedSourceView;
use ChalkLadder\Server\Sitting\Api\View\CallView;
use ChalkLadder\Server\Sitting\Api\View\NoteView;
use ChalkLadder\Server\Sitting\Api\View\OwnHelpView;
use ChalkLadder\Server\Sitting\Api\View\PictureView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Api\View\SkillView;
use ChalkLadder\Server\Sitting\Api\View\StepView;
use ChalkLadder\Server\Sitting\Api\View\SupportView;
use ChalkLadder\Server\Sitting\Api\View\ToldView;
use ChalkLadder\Server\Sitting\Api\View\TurnView;
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
     * @param array<string, array<int, CorrectedAnswer>> $corrected answers as a teacher has corrected them, by entry and try
     * @param array<string, PictureView> $pictures how the class did, by entry; told where the plan tells it
     */
    public function draw(
        string $teamId,
        StoredSitting $sitting,
        array $answers,
        int $live = 0,
        ?CallView $call = null,
        array $notes = [],
        array $pictures = [],
        ?OwnHelpView $help = null,
        ?string $climbs = null,
        array $corrected = [],
    ): SittingView {
        $edition = $sitting->edition;
        $conditions = $sitting->conditions;
        $walk = $sitting->walk;
        $state = $sitting->state;
        $byStep = [];
        foreach ($answers as $answer) {
            $byStep[$answer->entry][$answer->try] = $answer;
        }
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
                        $entry->breaks,
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
                    $entry->breaks ?? false,
                    array_column($section?->beside($id) ?? [], 'id'),
                    $section?->looksAt($id)?->toArray(),
                    $answer === null ? null : $sitting->covered($id, $visit->try, $answer->response)->toArray(),
                    $answer->counter ?? 0,
                    $state === SittingState::Open && $walk->isOpen($id, $visit->try) && !($answer->settled ?? false),
                    $answer->settled ?? false,
                    array_map(static fn (Hint $h): string => $h->text, array_slice($item->hints, 0, $answer->hintsOpened ?? 0)),
                    NumberText::write($item->costOf($answer->hintsOpened ?? 0)->multipliedBy($item->points)->simplified()),
                    self::told($sitting, $item, $answer, $score->tries[$id][$visit->try] ?? null, $pictures[$id] ?? null),
                    $answer->millis ?? 0,
                    $answer?->confidence,
                    $answer?->working?->toArray(),
                    $answer !== null && $sitting->isMended($answer),
                    ($corrected[$id][$visit->try] ?? null)?->why,
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
            $conditions->feedback->settles(),
            $conditions->wholePage,
            $conditions->inOrder,
            $conditions->pasting,
            $conditions->needsWorking,
            $conditions->fullScreen,
            array_column($conditions->tools, 'value'),
            $state->isOver() ? $conditions->feedback->comes($sitting->reached()) : '',
            $edition->paper()->mastery?->sentence() ?? '',
            $state->isOver() && $sitting->tells(Told::Marks) && $score->waiting === [] ? NumberText::write($score->total) : null,
            NumberText::write($score->possible),
            $sitting->message,
            $sitting->reply,
            $sitting->handedInAt,
            $this->skills($teamId, $sitting, $answers),
            SupportView::of($sitting->support),
            $state === SittingState::Open ? $sitting->hold : null,
            $state === SittingState::Open ? $sitting->secondsLeft($this->clock->now()) : null,
            $state === SittingState::Open ? $this->turn($sitting) : null,
            $call,
            $notes,
            $help,
            $climbs,
            $live,
        );
    }

    private function turn(StoredSitting $sitting): ?TurnView
    {
        $each = $sitting->conditions->secondsEachFor($sitting->support);

        return $each === null ? null : new TurnView($each, $sitting->turn, $sitting->turnLeft($this->clock->now()));
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
        // Where it is never told how answers stand it is not told by this either, and after handing in not before that is told.
        $early = $sitting->state->isOver() && !$sitting->tells(Told::Verdict);
        if ($shown === null || $feedback->from(Told::Verdict) === ToldFrom::Never || $early) {
            return [];
        }
        $walk = $sitting->walk;
        $marked = $sitting->edition->machineMarked();
        $told = array_filter($answers, static fn (Answer $a): bool => $a->settled || !$walk->isOpen($a->entry, $a->try));
        $atOnce = $feedback->from(Told::Verdict) === ToldFrom::AtOnce;
        $evidence = $walk->evidence($paper, Answer::outcomes(array_values($told)), $marked, $atOnce);
        $names = $this->terms->skillNames($teamId);

        return array_map(static fn (string $skill): SkillView => new SkillView(
            $names[$skill] ?? 'a skill that is gone',
            $shown->wanted($evidence[$skill] ?? []),
            $shown->isShown($evidence[$skill] ?? []),
            array_values(array_filter($marked->entries, static fn (string $entry): bool => $marked->skill($entry) === $skill)),
        ), $marked->skills());
    }

    /** @param BigRational|null $marks of this try */
    private static function told(
        StoredSitting $sitting,
        Item $item,
        ?Answer $answer,
        ?BigRational $marks,
        ?PictureView $picture,
    ): ?ToldView {
        if (!$sitting->state->isOver() && !($answer->settled ?? false)) {
            return null;
        }
        $telling = array_filter(Told::cases(), $sitting->tells(...));
        if ($telling === []) {
            return null;
        }
        $tells = static fn (Told $thing): bool => in_array($thing, $telling, true);
        $verdict = $answer?->verdict()->value ?? 'none';
        $words = $tells(Told::Feedback) ? $answer : null;

        return new ToldView(
            $tells(Told::Verdict) ? $verdict : null,
            $words->outcome->feedback ?? '',
            $tells(Told::Key) ? $item->rule->key() : null,
            $tells(Told::WorkedAnswer) ? $item->explanation : null,
            !$tells(Told::Marks) || $verdict === 'by hand' || $marks === null ? null : NumberText::write($marks),
            $words->comment ?? '',
            $item->rule instanceof Rubric ? $item->rule->levelsInWords($words->handLevels ?? []) : [],
            $tells(Told::ClassPicture) ? $picture : null,
        );
    }
}
