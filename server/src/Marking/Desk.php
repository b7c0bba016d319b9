<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\LookAlike;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Marking\Api\Input\Credit;
use ChalkLadder\Server\Marking\Api\Input\MarkInput;
use ChalkLadder\Server\Marking\Api\View\DeskView;
use ChalkLadder\Server\Marking\Api\View\LookAlikeView;
use ChalkLadder\Server\Marking\Api\View\MarkedAnswerView;
use ChalkLadder\Server\Marking\Api\View\MarkEventView;
use ChalkLadder\Server\Marking\Api\View\MarkView;
use ChalkLadder\Server\Marking\Api\View\QuestionTabView;
use ChalkLadder\Server\Marking\Api\View\WaitingListView;
use ChalkLadder\Server\Marking\Api\View\WaitingView;
use ChalkLadder\Server\Marking\Entity\MarkEvent;
use ChalkLadder\Server\Marking\ReadModel\DeskAnswer;
use ChalkLadder\Server\Marking\ReadModel\DeskReader;
use ChalkLadder\Server\Marking\ReadModel\MarkHistory;
use ChalkLadder\Server\Marking\ReadModel\ReturnList;
use ChalkLadder\Server\Marking\Repository\MarkRepository;
use ChalkLadder\Server\Paper\Api\View\PlacedSourceView;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\HandMark;
use ChalkLadder\Server\Sitting\StoredSitting;
use ChalkLadder\Server\Sitting\Work;
use Random\Randomizer;
use Symfony\Component\Clock\ClockInterface;

/** Marking by question: what waits, the answers of one question, and each mark as it is given. */
final readonly class Desk
{
    public function __construct(
        private Handouts $handouts,
        private Editions $editions,
        private Work $work,
        private DeskReader $reader,
        private MarkHistory $marks,
        private History $history,
        private ReturnList $returns,
        private MarkRepository $repository,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function waiting(StaffUser $who): WaitingListView
    {
        $questions = $this->reader->questions($who->teamId);
        $classes = $this->handouts->classNames(array_values(array_unique(array_column($questions, 'handout'))));
        $views = [];
        foreach ($questions as $q) {
            $edition = $this->editions->load($q['edition'], $q['rules']);
            $views[] = new WaitingView(
                $q['handout'],
                $q['title'],
                $classes[$q['handout']] ?? [],
                $q['entry'],
                $edition->numbers()[$q['entry']] ?? 0,
                $edition->title($q['entry']),
                $q['waiting'],
                $q['answers'],
            );
        }
        $mayReturn = $who->role !== Role::Marker;

        return new WaitingListView(
            $views,
            array_sum(array_column($questions, 'waiting')),
            $mayReturn ? $this->returns->ready($who->teamId) : [],
            $mayReturn ? $this->returns->replies($who->teamId) : [],
        );
    }

    /** @param bool $second the answers that somebody else has marked, without their marks */
    public function desk(StaffUser $who, string $handoutId, string $entry, bool $second = false): DeskView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $edition = $handout->edition;
        $item = $edition->item($entry) ?? throw Problem::notFound('The question');
        if ($second && !$item->rule instanceof Rubric) {
            throw Problem::notFound('The open question');
        }
        $hidden = $who->role === Role::Marker;
        $answers = $this->reader->answers($handoutId, $entry, $who->id, $second);
        $names = [];
        if ($hidden) {
            [$answers, $names] = self::unnamed($answers);
        }
        // A second marker is not to see what the first one gave.
        $events = $second ? [] : $this->marks->ofQuestion($handoutId, $entry);
        $views = array_map(static function (DeskAnswer $a) use ($edition, $item, $entry, $second, $names, $events): MarkedAnswerView {
            $own = $edition->own($entry, $a->seed, $a->answer->try)->item ?? $item;
            $student = $names[$a->studentId] ?? $a->student;
            $ownNumber = $a->walk->numbers($edition->paper())[$entry] ?? null;

            return $second ? self::unmarked($own, $a, $student, $ownNumber) : self::marked(
                $own,
                $a,
                $student,
                $ownNumber,
                $events[$a->sittingId.'|'.$a->answer->try] ?? [],
            );
        }, $answers);
        $waiting = $this->reader->waiting($handoutId);
        $tabs = [];
        foreach ($edition->numbers() as $id => $number) {
            $tabs[] = new QuestionTabView((string) $id, $number, $edition->title((string) $id), $waiting[$id] ?? 0);
        }

        return new DeskView(
            $handoutId,
            $handout->title,
            $entry,
            $edition->numbers()[$entry] ?? 0,
            $edition->title($entry),
            PlacedSourceView::of($edition->paper()->sectionOf($entry)?->beside($entry) ?? []),
            $edition->paper()->sectionOf($entry)?->looksAt($entry)?->toArray(),
            $item->toArray(),
            $views,
            array_map(
                static fn (array $places): LookAlikeView => new LookAlikeView(
                    mb_strimwidth($views[$places[0]]->given ?? '', 0, 90, '…'),
                    $places,
                ),
                LookAlike::answers($item->rule, array_map(
                    static fn (DeskAnswer $a, MarkedAnswerView $v): array => [
                        $a->answer->response,
                        $a->answer->outcome,
                        (string) $v->credit,
                    ],
                    $answers,
                    $views,
                )),
            ),
            $second ? [] : $this->reader->shelf($who->teamId, $edition->id, $entry),
            $tabs,
            $hidden,
            $handout->markStep->toFloat(),
            $second,
            $second ? [] : $this->history->keys($edition, $entry),
        );
    }

    public function mark(StaffUser $who, MarkInput $input): MarkView
    {
        return $this->transaction->run(function () use ($who, $input): MarkView {
            $kind = MarkEvent::BY_HAND;
            $marked = $this->work->mark($who->teamId, $input->sittingId, $input->entry, $input->try, $input->markVersion,
                function (StoredSitting $sitting, Answer $before) use ($who, $input, &$kind): HandMark {
                    $item = $sitting->own($input->entry, $input->try)->item ?? throw Problem::notFound('The question');
                    if ($who->role === Role::Marker && !$item->rule->waitsForMarker()) {
                        throw Problem::refused('A marker marks open answers; a teacher corrects the machine.');
                    }
                    $kind = $item->rule->waitsForMarker() ? MarkEvent::BY_HAND : MarkEvent::OVERRIDE;
                    [$credit, $levels] = self::creditOf($item, $input);
                    $ideas = $item->rule instanceof Rubric && $levels !== null
                        ? $item->rule->misconceptionsOf($levels)
                        : $before->outcome->misconceptions;

                    return new HandMark($credit, $levels, trim($input->comment), $ideas, $who->id, $this->clock->now());
                });
            $this->repository->add(new MarkEvent($marked, $kind));
            $before = $marked->before;
            $given = $marked->mark;
            $after = $given->credit ?? $before->outcome->credit;
            $text = static fn (?BigRational $credit): ?string => $credit === null ? null : (string) $credit;

            return new MarkView(
                $text($after),
                $given->credit === null ? $before->outcome->verdict->value : Verdict::ofCredit($given->credit)->value,
                $given->credit !== null,
                $given->levels,
                $given->comment,
                $before->markVersion + 1,
                new MarkEventView(
                    $kind,
                    $text($before->credit()),
                    $text($given->credit),
                    $given->comment,
                    $who->name,
                    Moment::iso($given->at),
                ),
            );
        });
    }

    /** @return array{BigRational|null, list<int|null>|null} */
    private static function creditOf(Item $item, MarkInput $input): array
    {
        if ($item->rule instanceof Rubric && $input->levels !== null) {
            $levels = [];
            foreach ($item->rule->criteria() as $i => $criterion) {
                $level = $input->levels[$i] ?? null;
                if ($level !== null && !isset($criterion->levels[$level])) {
                    throw Problem::invalid(['levels' => sprintf('"%s" has no such level.', $criterion->name)]);
                }
                $levels[] = $level;
            }

            return [$item->rule->creditFor($levels), $levels];
        }

        return [$input->credit === null ? null : Credit::read($input->credit), null];
    }

    /**
     * Students by numbers that are drawn anew for each showing, in the order of those: neither tells a name.
     *
     * @param list<DeskAnswer> $answers
     *
     * @return array{list<DeskAnswer>, array<string, string>} and what each student is called
     */
    private static function unnamed(array $answers): array
    {
        $students = (new Randomizer())->shuffleArray(array_values(array_unique(array_map(
            static fn (DeskAnswer $a): string => $a->studentId,
            $answers,
        ))));
        $place = array_flip($students);
        usort($answers, static fn (DeskAnswer $a, DeskAnswer $b): int => $place[$a->studentId] <=> $place[$b->studentId]);

        return [$answers, array_map(static fn (int $n): string => 'Student '.($n + 1), $place)];
    }

    /** An answer as if nobody but the reader had marked it. */
    private static function unmarked(Item $item, DeskAnswer $a, string $student, ?int $ownNumber): MarkedAnswerView
    {
        return new MarkedAnswerView(
            $a->sittingId,
            $a->answer->try,
            $student,
            $ownNumber,
            $item->rule->inWords($a->answer->response),
            $a->answer->response->toArray(),
            $a->answer->outcome->readAs,
            Verdict::ByHand->value,
            null,
            $a->ownLevels !== null,
            $a->ownLevels,
            '',
            0,
            false,
            [],
            $a->answer->hintsOpened,
            self::hintsCost($item, $a),
            $a->answer->working?->toArray(),
        );
    }

    /** @param list<MarkEventView> $events */
    private static function marked(Item $item, DeskAnswer $a, string $student, ?int $ownNumber, array $events): MarkedAnswerView
    {
        $credit = $a->answer->credit();

        return new MarkedAnswerView(
            $a->sittingId,
            $a->answer->try,
            $student,
            $ownNumber,
            $item->rule->inWords($a->answer->response),
            $a->answer->response->toArray(),
            $a->answer->outcome->readAs,
            $a->answer->verdict()->value,
            $credit === null ? null : (string) $credit,
            $a->answer->handCredit !== null,
            $a->answer->handLevels,
            $a->answer->comment,
            $a->answer->markVersion,
            $a->isReturned,
            $events,
            $a->answer->hintsOpened,
            self::hintsCost($item, $a),
            $a->answer->working?->toArray(),
        );
    }

    private static function hintsCost(Item $item, DeskAnswer $a): string
    {
        return NumberText::write($item->costOf($a->answer->hintsOpened)->multipliedBy($item->points)->simplified());
    }
}
