<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\PlainText;
use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Lookout\Api\View\AsideView;
use ChalkLadder\Server\Lookout\Api\View\CorrectedView;
use ChalkLadder\Server\Lookout\Api\View\StudentWorkView;
use ChalkLadder\Server\Lookout\Api\View\WorkAnswerView;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\CorrectedAnswer;
use ChalkLadder\Server\Sitting\ReadModel\Corrected;
use ChalkLadder\Server\Sitting\ReadModel\GivenAnswers;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\StoredSitting;

/** One student's work, as a teacher reads it. */
final readonly class StudentWork
{
    public function __construct(
        private SittingReader $sittings,
        private Students $students,
        private Terms $terms,
        private Editions $editions,
        private Corrected $corrected,
    ) {
    }

    public function show(string $teamId, string $sittingId): StudentWorkView
    {
        $sitting = $this->sittings->ofTeam($teamId, $sittingId);
        $names = $this->terms->misconceptionNames($teamId);
        $numbers = $sitting->edition->numbers();
        $own = $sitting->walk->numbers($sitting->edition->paper());
        $given = $this->sittings->given([$sittingId])[$sittingId];
        $all = $given->answers($sitting);
        $byStep = [];
        foreach ($all as $answer) {
            $byStep[$answer->entry][$answer->try] = $answer;
        }
        $score = Sittings::score($sitting, $all);
        $answers = $late = [];
        $corrected = $this->corrected->of($sittingId);
        $view = static fn (
            Item $item,
            string $entry,
            int $try,
            ?Answer $answer,
            ?CorrectedAnswer $correction = null,
        ): WorkAnswerView => self::answer(
            $item,
            $entry,
            $try,
            $numbers[$entry],
            $own[$entry] ?? null,
            $sitting->edition->title($entry),
            $answer,
            $names,
            $sitting,
            $correction,
        );
        foreach ($sitting->walk->steps($sitting->edition->paper()) as ['entry' => $entry, 'try' => $try]) {
            $item = $sitting->own($entry, $try)?->item;
            if ($item !== null) {
                $answers[] = $view($item, $entry, $try, $byStep[$entry][$try] ?? null, $corrected[$entry][$try] ?? null);
            }
        }
        foreach ($this->sittings->late($sitting) as $answer) {
            $item = $sitting->own($answer->entry, $answer->try)?->item;
            if ($item !== null) {
                $late[] = $view($item, $answer->entry, $answer->try, $answer);
            }
        }

        return new StudentWorkView(
            $sittingId,
            $this->students->name($teamId, $sitting->studentId),
            $sitting->state->value,
            $sitting->attempt,
            NumberText::write($score->total),
            NumberText::write($score->possible),
            $sitting->message,
            $sitting->reply,
            $answers,
            $late,
            $this->aside($sitting, $given),
        );
    }

    /** @return list<AsideView> */
    private function aside(StoredSitting $sitting, GivenAnswers $given): array
    {
        $views = [];
        foreach ($given->aside() as ['entry' => $entry, 'try' => $try, 'response' => $response, 'edition' => $edition]) {
            $then = $this->editions->load($edition);
            $own = $then->own($entry, $sitting->seed, $try);
            if ($own !== null) {
                $views[] = new AsideView($then->title($entry), $own->item->rule->inWords($response));
            }
        }

        return $views;
    }

    /** @param array<string, string> $names of misconceptions */
    private static function answer(
        Item $item,
        string $entry,
        int $try,
        int $number,
        ?int $ownNumber,
        string $title,
        ?Answer $answer,
        array $names,
        StoredSitting $sitting,
        ?CorrectedAnswer $correction,
    ): WorkAnswerView {
        $credit = $answer?->credit();
        $byRubric = $item->rule instanceof Rubric && $answer?->handLevels !== null
            ? $item->rule->misconceptionsOf($answer->handLevels)
            : null;

        return new WorkAnswerView(
            $entry,
            $try,
            $number,
            $ownNumber,
            $title,
            $item->prompt,
            $item->type()->value,
            $answer === null ? '' : $item->rule->inWords($answer->response),
            $answer->outcome->readAs ?? '',
            $answer?->verdict()->value ?? 'none',
            $credit === null ? null : (string) $credit,
            NumberText::write($item->points),
            PlainText::of($item->rule->key()),
            $answer->comment ?? '',
            $answer?->handCredit !== null,
            $answer->markVersion ?? 0,
            array_map(static fn (string $id): string => $names[$id] ?? '', $byRubric ?? $answer->outcome->misconceptions ?? []),
            $answer === null || $answer->savedAt === '' ? null : $answer->savedAt,
            $answer?->millis === null ? null : $answer->millis / 1000,
            $answer?->confidence,
            $item->writtenFace(),
            $answer?->response->toArray(),
            $answer?->working?->toArray(),
            $answer !== null && $sitting->isMended($answer),
            $correction === null ? null : new CorrectedView(
                $correction->id,
                $item->rule->inWords($correction->given),
                $correction->why,
                $correction->by,
                $correction->at,
            ),
        );
    }
}
