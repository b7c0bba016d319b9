<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Platform\Storage\Repository;
use Symfony\Component\Uid\Uuid;

/** @extends Repository<Question> */
final readonly class QuestionRepository extends Repository
{
    /**
     * @param list<string> $ids
     *
     * @return array<string, ItemTemplate> by id
     */
    public function contents(string $teamId, array $ids): array
    {
        $contents = [];
        // A draft may name anything; what is no id names no question.
        $ids = array_values(array_filter($ids, Uuid::isValid(...)));
        foreach ($ids === []
            ? []
            : $this->entities->getRepository(Question::class)->findBy(['teamId' => $teamId, 'id' => $ids]) as $question) {
            $contents[$question->id()] = $question->content();
        }

        return $contents;
    }

    protected function kind(): string
    {
        return Question::class;
    }
}
