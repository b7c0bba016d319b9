<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

use ChalkLadder\Core\Sitting\Support;
use Symfony\Component\Validator\Constraints as Assert;

/** What helps a student; what is left out is not given. */
final readonly class SupportInput
{
    /**
     * @param int $fewerOptions distractors left out where one option is to be picked
     * @param int $extraTime    per cent beyond the time that is set for the work
     */
    public function __construct(
        public bool $readAloud = false,
        public bool $largerText = false,
        public bool $lineFocus = false,
        public bool $wordNotes = false,
        #[Assert\Range(min: 0, max: Support::MOST_FEWER)]
        public int $fewerOptions = 0,
        #[Assert\Range(min: 0, max: Support::MOST_EXTRA_TIME)]
        public int $extraTime = 0,
    ) {
    }

    public function support(): Support
    {
        return new Support($this->readAloud, $this->largerText, $this->lineFocus, $this->wordNotes, $this->fewerOptions, $this->extraTime);
    }
}
