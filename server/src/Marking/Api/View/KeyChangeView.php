<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** Who gains and who loses by a new key. The change id is there once it has been applied. */
final readonly class KeyChangeView
{
    /**
     * @param array<string, mixed> $rule
     * @param list<EffectView>     $gains
     * @param list<EffectView>     $loses
     * @param int                  $same    responses whose credit stays
     * @param int                  $byHand  responses that a person has marked, which are left alone
     * @param int                  $returned students among the changed whose work is already back with them
     */
    public function __construct(
        public ?string $changeId,
        #[Shape('AnyRule')]
        public array $rule,
        public array $gains,
        public array $loses,
        public int $same,
        public int $byHand,
        public int $returned,
        public bool $bankToo,
    ) {
    }
}
