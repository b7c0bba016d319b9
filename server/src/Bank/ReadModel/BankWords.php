<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Core\Item\EditDistance;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Cache\CacheInterface;

/** The words that stand in a team's questions, by which a slip is understood. They are gathered once for each state of the bank. */
final readonly class BankWords extends ReadModel
{
    /** Shorter words are too like others. */
    private const LEAST = 4;
    private const LONGEST = 40;
    private const MOST = 12;

    public function __construct(Connection $connection, private CacheInterface $cache)
    {
        parent::__construct($connection);
    }

    /**
     * The words, or beginnings of words, that a mistyped one may mean: the nearest first.
     *
     * @return list<string>
     */
    public function like(string $teamId, string $word): array
    {
        $length = mb_strlen($word);
        if ($length < self::LEAST || $length > self::LONGEST) {
            return [];
        }
        $limit = max(1, EditDistance::allowanceFor($word));
        $near = [];
        foreach ($this->all($teamId) as $known) {
            // What is typed may be a word's beginning, with a letter too many or too few.
            $begun = array_map(static fn (int $n): string => mb_substr($known, 0, $n), [$length - 1, $length, $length + 1]);
            foreach (array_unique([...$begun, $known]) as $part) {
                if (mb_strlen($part) < self::LEAST || levenshtein($word, $part) > 2 * $limit) {
                    continue;
                }
                $distance = EditDistance::upTo($word, $part, $limit);
                if ($distance <= $limit) {
                    $near[$part] = min($near[$part] ?? $distance, $distance);
                }
            }
        }
        asort($near);

        return array_map(strval(...), array_slice(array_keys($near), 0, self::MOST));
    }

    /** @return list<string> in small letters, each once */
    private function all(string $teamId): array
    {
        $state = $this->texts(
            "SELECT count(*) || '-' || coalesce(max(updated_at)::text, '') FROM item WHERE team_id = :team",
            ['team' => $teamId],
        )[0] ?? '';

        return $this->cache->get("words-$teamId-".md5($state), function () use ($teamId): array {
            $words = [];
            foreach ($this->texts('SELECT search FROM item WHERE team_id = :team', ['team' => $teamId]) as $text) {
                preg_match_all('/[\p{L}\p{N}]{'.self::LEAST.','.self::LONGEST.'}/u', $text, $found);
                $words += array_fill_keys($found[0], true);
            }

            return array_map(strval(...), array_keys($words));
        });
    }
}
