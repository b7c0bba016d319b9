<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** Help between two students, as one of them sees it: one question, and what was said. */
final readonly class OwnHelpView
{
    /**
     * @param bool                $isHelper you help; otherwise you are helped
     * @param string              $state    asked (the helper has not said yes yet), on
     * @param string              $you      what the other one calls you
     * @param int                 $number   of the question, in the paper of the one who is helped
     * @param array<string, mixed>|null $face the question, for a helper who has said yes; null for all others
     * @param list<HelpLineView>  $lines    one's own, and the other's that may be read
     */
    public function __construct(
        public string $id,
        public bool $isHelper,
        public string $state,
        public string $you,
        public string $other,
        public int $number,
        #[Shape('Face')]
        public ?array $face,
        public array $lines,
    ) {
    }
}
