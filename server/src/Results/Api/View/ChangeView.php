<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What has changed since an earlier handout, over the students who sat both. */
final readonly class ChangeView
{
    /**
     * @param list<EarlierView>      $earlier  handouts to compare with, the latest first
     * @param string|null            $since    the one compared with; null when there is none
     * @param bool                   $same     both asked the same questions
     * @param list<ChangeLineView>   $lines    the whole, then each skill that both ask for
     * @param list<StudentMoveView>  $students who gained most first
     */
    public function __construct(
        public array $earlier,
        public ?string $since,
        public bool $same,
        public array $lines,
        public array $students,
    ) {
    }
}
