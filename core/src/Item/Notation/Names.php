<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/** What a team calls its skills and misconceptions: notes say names, documents hold ids. */
final readonly class Names
{
    /** Names further apart than this share of their letters are no slip of each other. */
    private const NEAR = 0.34;

    /**
     * @param array<string, string> $skills         names by id
     * @param array<string, string> $misconceptions names by id
     */
    public function __construct(public array $skills = [], public array $misconceptions = [])
    {
    }

    /** @throws NoteFault */
    public function skill(string $name, int $at): string
    {
        return self::id($this->skills, $name, 'skill', $at);
    }

    /** @throws NoteFault */
    public function misconception(string $name, int $at): string
    {
        return self::id($this->misconceptions, $name, 'misconception', $at);
    }

    /**
     * The name that leads back to this id; null where none does.
     *
     * @param array<string, string> $names by id
     */
    public static function nameOf(array $names, ?string $id): ?string
    {
        $name = $names[$id ?? ''] ?? null;

        return is_string($name) && count(array_keys($names, $name, true)) === 1 ? $name : null;
    }

    /** @param array<string, string> $names */
    private static function id(array $names, string $name, string $what, int $at): string
    {
        $wanted = self::folded($name);
        $near = null;
        $least = self::NEAR * max(1, mb_strlen($wanted));
        foreach ($names as $id => $one) {
            $known = self::folded($one);
            if ($known === $wanted) {
                return (string) $id;
            }
            $far = strlen($known) < 200 && strlen($wanted) < 200 ? levenshtein($known, $wanted) : PHP_INT_MAX;
            if ($far <= $least) {
                [$least, $near] = [$far, $one];
            }
        }
        throw new NoteFault(
            sprintf('There is no %s called “%s”.', $what, $name).($near === null ? ' Write one that the team has.' : " Is “{$near}” meant?"),
            $at,
        );
    }

    private static function folded(string $name): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $name)));
    }
}
