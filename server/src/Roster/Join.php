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
        $pin = (string) preg_replace('/\D/', '', Unicode::compatible($input->pin));
        foreach ($known as [$student, $sealed, $byPictures]) {
            $its = $this->pins->open($sealed);
            $word = $byPictures && $input->pictures !== [] && PictureWord::of($its) === $input->pictures;
            if ($word || hash_equals($its, $pin)) {
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

    private static function code(JoinInput $input): string
    {
        return strtoupper((string) preg_replace('/[^A-Za-z]/', '', $input->code));
    }
}
