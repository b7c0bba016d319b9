<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\AnswerPads;
use ChalkLadder\Server\Lookout\Api\Input\PressesInput;
use ChalkLadder\Server\Lookout\Api\Input\PressInput;
use ChalkLadder\Server\Marking\Api\Input\KeyInput;
use ChalkLadder\Server\Marking\Keys;
use ChalkLadder\Server\Paper\Api\Input\OnPaperInput;
use ChalkLadder\Server\Paper\Api\Input\OnPaperLineInput;
use ChalkLadder\Server\Paper\OnPaper;
use Symfony\Component\Uid\Uuid;

/** Questions on a sheet, answered with pads; the key of the last one is still to be given. */
final readonly class PadsQuiz
{
    private const TITLE = 'Ten lights on a sheet';
    /** The letters that are right. */
    private const KEYS = ['b', 'a', 'd', 'c', 'b', 'd', 'a', 'c', 'b', 'a'];
    private const LETTERS = ['a', 'b', 'c', 'd'];
    private const KEYED = 9;
    /** How likely the weakest press what is right, and by how much more the strongest. */
    private const WEAKEST = 0.3;
    private const STRONGER = 0.65;
    /** How likely a pad presses again, and is nearly empty. */
    private const AGAIN = 0.08;
    private const EMPTY = 0.05;
    private const STRAY = '77';

    public function __construct(
        private OnPaper $onPaper,
        private Handouts $handouts,
        private AnswerPads $pads,
        private Keys $keys,
    ) {
    }

    /** @param array<string, array{sim: SimulatedStudent, user: mixed, class: string}> $students by id */
    public function tell(StaffUser $who, string $class, array $students): void
    {
        $lines = [new OnPaperLineInput(count(self::KEYS), 'choice', count(self::LETTERS), '1')];
        $sheet = $this->onPaper->make($who, new OnPaperInput(self::TITLE, $lines, Uuid::v7()->toRfc4122()));
        $handout = $this->handouts->create(
            $who,
            new HandoutInput((string) $sheet->editionId, [$class], [], [], requestId: Uuid::v7()->toRfc4122()),
        )->id;
        $opened = $this->pads->open($who, $handout);
        foreach ($opened->pads as $pad) {
            $sim = $students[$pad->student ?? '']['sim'] ?? null;
            if ($sim !== null) {
                $this->pads->press($handout, new PressesInput((string) $opened->key, self::presses($sim, $pad->pad)));
            }
        }
        $this->pads->press($handout, new PressesInput((string) $opened->key, [new PressInput(self::STRAY, 1, 1, 'A')]));
        $this->handouts->close($who, $handout);
        $this->pads->close($who, $handout);
        foreach ($this->handouts->find($who->teamId, $handout)->edition->numbers() as $entry => $number) {
            if ($number <= self::KEYED) {
                $this->keys->apply($who, $handout, $entry, new KeyInput(accept: ['options' => [self::KEYS[$number - 1]]]));
            }
        }
    }

    /** @return list<PressInput> */
    private static function presses(SimulatedStudent $sim, string $pad): array
    {
        $presses = [];
        $battery = $sim->chance() < self::EMPTY ? 0.06 : 0.8;
        $right = self::WEAKEST + self::STRONGER * $sim->chance();
        foreach (self::KEYS as $i => $key) {
            $letter = $sim->chance() < $right ? $key : self::LETTERS[(int) floor($sim->chance() * count(self::LETTERS))];
            $presses[] = $press = new PressInput($pad, $i + 1, $i + 1, strtoupper($letter), $battery);
            if ($sim->chance() < self::AGAIN) {
                $presses[] = $press;
            }
        }

        return $presses;
    }
}
