<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Bank\Api\Input\CopyInput;
use ChalkLadder\Server\Bank\Api\View\KeptNotesView;
use ChalkLadder\Server\Bank\Api\View\ManySkillsView;
use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Bank\ReadModel\KeptEntries;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** One act on several questions of the bank: done to all or to none. */
final readonly class ManyQuestions
{
    public const MOST = 200;

    public function __construct(
        private QuestionRepository $questions,
        private KeptEntries $kept,
        private Terms $terms,
        private QuestionMerging $merging,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** @param list<string> $ids */
    public function archive(StaffUser $who, array $ids): void
    {
        $this->transaction->run(function () use ($who, $ids): void {
            foreach ($this->locked($who->teamId, $ids) as $question) {
                $question->archive($who->id, $this->clock->now());
            }
        });
    }

    /** @param list<string> $ids */
    public function restore(StaffUser $who, array $ids): void
    {
        $this->transaction->run(function () use ($who, $ids): void {
            foreach ($this->locked($who->teamId, $ids) as $question) {
                $this->merging->restore($who, $question);
            }
        });
    }

    public function copy(StaffUser $who, CopyInput $input): KeptNotesView
    {
        return new KeptNotesView($this->transaction->run(function () use ($who, $input): array {
            $made = $this->kept->ofRequest($who->teamId, $input->requestId);
            foreach ($made === [] ? $this->locked($who->teamId, $input->ids) : [] as $place => $question) {
                $content = $question->content()->toArray();
                $title = is_string($content['title'] ?? null) ? $content['title'] : '';
                $copy = new Question(
                    $who->teamId,
                    ItemTemplate::read(['title' => mb_substr($title, 0, 190).' (copy)'] + $content),
                    $who->id,
                    $this->clock->now(),
                );
                $copy->keptBy($input->requestId, $place);
                $this->questions->add($copy);
                $made[] = $copy->id();
            }

            return $made;
        }));
    }

    /** @param array<string, string|null> $skills by question */
    public function setSkills(StaffUser $who, array $skills): ManySkillsView
    {
        if (array_diff(array_filter($skills, is_string(...)), array_keys($this->terms->skillNames($who->teamId))) !== []) {
            throw Problem::invalid(['skills' => 'This skill is not one of the team’s.']);
        }

        // Ids are the same however they are written, and a skill that was put together with another is that one.
        $same = $this->terms->sameAs($who->teamId);
        $skills = array_map(static fn (?string $s): ?string => $same[$s ?? ''] ?? $s, array_change_key_case($skills));

        return new ManySkillsView($this->transaction->run(function () use ($who, $skills): array {
            $before = [];
            foreach ($this->locked($who->teamId, array_map(strval(...), array_keys($skills))) as $question) {
                $content = $question->content()->toArray();
                $was = is_string($content['skill'] ?? null) ? $content['skill'] : null;
                $skill = $skills[$question->id()] ?? null;
                $before[$question->id()] = $was;
                if ($skill !== $was) {
                    $question->revise(ItemTemplate::read(['skill' => $skill] + $content), $who->id, $this->clock->now());
                }
            }

            return $before;
        }));
    }

    /**
     * In the order of their ids, so that two acts at once wait for each other instead of for each other's rest.
     *
     * @param list<string> $ids
     *
     * @return list<Question>
     */
    private function locked(string $teamId, array $ids): array
    {
        $ids = array_values(array_unique(array_map(strtolower(...), $ids)));
        sort($ids);

        return array_map(
            fn (string $id): Question => (Uuid::isValid($id) ? $this->questions->findLocked($teamId, $id) : null)
                ?? throw Problem::notFound('One of the questions'),
            $ids,
        );
    }
}
