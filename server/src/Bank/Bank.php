<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\View\DefectView;
use ChalkLadder\Server\Bank\Api\View\ItemSavedView;
use ChalkLadder\Server\Bank\Api\View\ItemView;
use ChalkLadder\Server\Bank\Api\View\RecordView;
use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Bank\ReadModel\QuestionList;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/** The team's questions: read, written. Every save keeps the version before it. */
final readonly class Bank
{
    public function __construct(
        private QuestionRepository $questions,
        private QuestionList $list,
        private QuestionReader $reader,
        private QuestionRecords $records,
        private QuestionMerging $merging,
        private QuestionUses $uses,
        private StudentWriters $students,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function show(string $teamId, string $id): ItemView
    {
        $question = $this->questions->find($teamId, $id) ?? throw Problem::notFound('The question');
        $item = $this->reader->knowing($question->content());
        [$author, $updater] = $this->list->hands($question->createdBy(), $question->updatedBy());
        $record = $this->records->of([$id])[$id] ?? new ItemRecord(0, 0, null, null);

        return new ItemView(
            $id,
            $item->toArray(),
            $question->version(),
            $author,
            $updater,
            Moment::iso($question->updatedAt()),
            $question->isArchived(),
            self::defects($item),
            $this->uses->papers($teamId, $id),
            new RecordView($record->handouts, $record->students, $record->facility, $record->seconds, $this->records->lines($id)),
            $this->students->of($teamId, $id),
        );
    }

    public function create(StaffUser $who, ItemInput $input): ItemSavedView
    {
        $item = $this->reader->read($who->teamId, $input->item);
        $question = $this->transaction->run(function () use ($who, $item): Question {
            $question = new Question($who->teamId, $item, $who->id, $this->clock->now());
            $this->questions->add($question);

            return $question;
        });

        return self::saved($question, $item);
    }

    public function save(StaffUser $who, string $id, ItemInput $input): ItemSavedView
    {
        $item = $this->reader->read($who->teamId, $input->item);
        $question = $this->transaction->run(function () use ($who, $id, $input, $item): Question {
            $question = $this->questions->findLocked($who->teamId, $id) ?? throw Problem::notFound('The question');
            if ($question->version() !== $input->version) {
                $updater = $this->list->hands($question->createdBy(), $question->updatedBy())[1];
                throw Problem::conflict(
                    'Somebody saved this question before you.',
                    sprintf(
                        '%s saved it while you were writing. Your text is still here: copy what you need, then open the newer one.',
                        $updater,
                    ),
                    ['version' => $question->version()],
                );
            }
            $question->revise($item, $who->id, $this->clock->now());

            return $question;
        });

        return self::saved($question, $item);
    }

    public function archive(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->archive($who->id, $this->clock->now()));
    }

    public function restore(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->merging->restore($who, $this->locked($who->teamId, $id)));
    }

    /**
     * Questions by id, for a paper. Ids of other teams are as good as absent.
     *
     * @param list<string> $ids
     *
     * @return array<string, ItemTemplate>
     */
    public function items(string $teamId, array $ids): array
    {
        return array_map($this->reader->knowing(...), $this->questions->contents($teamId, $ids));
    }

    /**
     * Brings a changed key home: the bank's question gets it too, if its rule is still the one that was changed.
     *
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    public function replaceRule(StaffUser $who, string $itemId, array $before, array $after): bool
    {
        return $this->transaction->run(fn (): bool => $this->questions->findLocked($who->teamId, $itemId)?->takeRule(
            $before,
            $after,
            $who->id,
            $this->clock->now(),
        ) ?? false);
    }

    /** @return list<DefectView> */
    public static function defects(ItemTemplate $item): array
    {
        return array_map(static fn (Defect $d): DefectView => DefectView::of($d), $item->defects());
    }

    private function locked(string $teamId, string $id): Question
    {
        return $this->questions->findLocked($teamId, $id) ?? throw Problem::notFound('The question');
    }

    private static function saved(Question $question, ItemTemplate $item): ItemSavedView
    {
        return new ItemSavedView(
            $question->id(),
            $question->version(),
            Moment::iso($question->updatedAt()),
            $item->toArray(),
            self::defects($item),
        );
    }
}
