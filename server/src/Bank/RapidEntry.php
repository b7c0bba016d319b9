<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Exchange\QuestionTable;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NotedQuestion;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteReader;
use ChalkLadder\Core\Item\Notation\NoteWriter;
use ChalkLadder\Server\Bank\Api\Input\KeepNotesInput;
use ChalkLadder\Server\Bank\Api\Input\NotesInput;
use ChalkLadder\Server\Bank\Api\View\KeptNotesView;
use ChalkLadder\Server\Bank\Api\View\NotedQuestionView;
use ChalkLadder\Server\Bank\Api\View\NoteFaultView;
use ChalkLadder\Server\Bank\Api\View\NotesTextView;
use ChalkLadder\Server\Bank\Api\View\NotesView;
use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Bank\ReadModel\KeptEntries;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/** Questions typed as fast as on paper: read, looked at, and kept all or none. */
final readonly class RapidEntry
{
    /** Walking the draws of a question takes a while. */
    private const MOST_OWN = 20;

    public function __construct(
        private QuestionReader $reader,
        private QuestionRepository $questions,
        private KeptEntries $kept,
        private Terms $terms,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function read(string $teamId, NotesInput $input): NotesView
    {
        return new NotesView(array_map(static fn (array $one): NotedQuestionView => new NotedQuestionView(
            $one[0]->at,
            $one[1]?->toArray(),
            array_map(static fn (NoteFault $f): NoteFaultView => new NoteFaultView($f->at, $f->getMessage()), $one[2]),
            $one[1] === null ? [] : Bank::defects($one[1]),
        ), $this->all($teamId, $input)));
    }

    public function keep(StaffUser $who, KeepNotesInput $input): KeptNotesView
    {
        $items = [];
        foreach ($this->all($who->teamId, $input->notes()) as [$noted, $item, $faults]) {
            $fault = $faults[0] ?? new NoteFault('This question cannot be read.', $noted->at);
            $items[] = $item ?? throw Problem::invalid(['text' => sprintf('Line %d: %s Nothing was kept.', $fault->at, $fault->getMessage())]);
        }
        if ($items === []) {
            throw Problem::invalid(['text' => 'There is no question in it.']);
        }

        return new KeptNotesView($this->transaction->run(function () use ($who, $items, $input): array {
            $ids = $this->kept->ofRequest($who->teamId, $input->requestId);
            foreach ($ids === [] ? $items : [] as $place => $item) {
                $question = new Question($who->teamId, $item, $who->id, $this->clock->now());
                $question->keptBy($input->requestId, $place);
                $this->questions->add($question);
                $ids[] = $question->id();
            }

            return $ids;
        }));
    }

    public function write(string $teamId, string $id): NotesTextView
    {
        $question = $this->questions->find($teamId, $id) ?? throw Problem::notFound('The question');

        return new NotesTextView(NoteWriter::write($question->content()->toArray(), $this->names($teamId)));
    }

    /** @return list<array{NotedQuestion, ItemTemplate|null, list<NoteFault>}> */
    private function all(string $teamId, NotesInput $input): array
    {
        $names = $this->names($teamId);
        $noted = $input->table ? QuestionTable::read($input->text, $names) : NoteReader::read($input->text, $names);

        $own = 0;

        return array_map(function (NotedQuestion $one) use ($teamId, &$own): array {
            if ($one->document !== null && ItemTemplate::isOne($one->document) && ++$own > self::MOST_OWN) {
                return [$one, null, [new NoteFault('At most 20 questions with variables at once. Read the rest afterwards.', $one->at)]];
            }
            try {
                return [$one, $one->document === null ? null : $this->reader->read($teamId, $one->document), $one->faults];
            } catch (DocumentInvalid $e) {
                return [$one, null, [new NoteFault($e->getMessage(), $one->at)]];
            } catch (Problem $e) {
                return [$one, null, [new NoteFault($e->detail, $one->at)]];
            }
        }, $noted);
    }

    private function names(string $teamId): Names
    {
        return new Names($this->terms->skillNames($teamId), $this->terms->misconceptionNames($teamId));
    }
}
