<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Formula\Unicode;
use ChalkLadder\Core\Roster\PersonName;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\Api\Input\JoinInput;
use ChalkLadder\Server\Roster\ReadModel\RosterList;

/**
 * Class code, name and PIN together are a student's identity; which of them was wrong is not told. In a class of the youngest three
 * pictures stand for the PIN.
 */
final readonly class Join
{
    public function __construct(private RosterList $rosters, private Pins $pins)
    {
    }

    /** However code and name are typed, the same name for the same account. */
    public static function account(JoinInput $input): string
    {
        return 'student|'.self::code($input).'|'.PersonName::fold($input->name);
    }

    public function student(JoinInput $input): StudentUser
    {
        $known = $this->rosters->goingBy(self::code($input), PersonName::fold($input->name));
        foreach ($known as [$student, $sealed, $byPictures]) {
            if ($this->fits($sealed, $byPictures, $input->pin, $input->pictures)) {
                return $student;
            }
        }

        throw new Problem(
            422,
            'Code, name and PIN do not fit together.',
            'Check all three against your slip. Your teacher can give you a new PIN.',
            ['pin' => 'Code, name and PIN do not fit together.'],
        );
    }

    /**
     * Whether it is what stands on a student's slip.
     *
     * @param list<string> $pictures
     */
    public function isTheirs(string $studentId, string $pin, array $pictures): bool
    {
        $on = $this->rosters->slipOf($studentId);

        return $on !== null && $this->fits($on[0], $on[1], $pin, $pictures);
    }

    /** @param list<string> $pictures */
    private function fits(string $sealed, bool $byPictures, string $pin, array $pictures): bool
    {
        $its = $this->pins->open($sealed);
        $typed = (string) preg_replace('/\D/', '', Unicode::compatible($pin));

        return hash_equals($its, $typed) || ($byPictures && $pictures !== [] && PictureWord::of($its) === $pictures);
    }

    private static function code(JoinInput $input): string
    {
        return strtoupper((string) preg_replace('/[^A-Za-z]/', '', $input->code));
    }
}
