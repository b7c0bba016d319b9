<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** One's own account, and what a lead may set for the team. */
final readonly class AccountView
{
    /**
     * @param list<SessionLineView> $sessions   the latest used first
     * @param list<ColleagueView>   $colleagues whose password a lead may set anew; empty for everybody else
     * @param string                $markStep   the team's smallest mark, exact
     * @param list<string>          $steps      what it can be set to
     * @param list<RungView>        $rungs      from the lowest up
     * @param string                $searchLanguage by whose stems questions are found, as `english`; `simple`: by words as written
     * @param list<string>          $languages  what it can be set to
     * @param list<string>          $framedBy   origins of the pages that may show the team's work within themselves
     * @param bool                  $maySet     whether the asker may set any of it
     */
    public function __construct(
        public array $sessions,
        public array $colleagues,
        public string $markStep,
        public array $steps,
        public array $rungs,
        public string $searchLanguage,
        public array $languages,
        public array $framedBy,
        public bool $maySet,
    ) {
    }
}
