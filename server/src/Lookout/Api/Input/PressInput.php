<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** One press of one pad. */
final readonly class PressInput
{
    public const PAD = '/^[A-Za-z0-9]{1,8}$/D';

    /**
     * @param string     $pad      the number on it
     * @param int        $press    counted by the pad, from 1: what is heard twice counts once, what comes late at a question never
     * @param int        $question number on the paper
     * @param string     $keys     `B`, `AC`, `3.8`
     * @param float|null $battery  0…1
     */
    public function __construct(
        #[Assert\Regex(pattern: self::PAD, message: 'A pad has a number of at most eight letters and digits.')]
        public string $pad = '',
        #[Assert\Range(min: 1, max: 1_000_000_000)]
        public int $press = 1,
        #[Assert\Range(min: 1, max: 1000)]
        public int $question = 1,
        #[Assert\Length(min: 1, max: 40)]
        public string $keys = '',
        #[Assert\Range(min: 0, max: 1)]
        public ?float $battery = null,
    ) {
    }
}
