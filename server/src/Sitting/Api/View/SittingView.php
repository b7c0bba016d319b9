<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

use ChalkLadder\Server\Paper\Api\View\PlacedSourceView;

/** A sitting as its student sees it. */
final readonly class SittingView
{
    /**
     * @param list<PlacedSourceView> $sources of the sections entered so far
     * @param string         $instructions what is told before the section's questions, or ''
     * @param list<StepView> $steps    all that was shown so far, in order
     * @param int            $visit    number of the open pass; an act on an older one changes nothing
     * @param bool           $settles  answers are settled one by one, and something is told of each at once
     * @param bool           $wholePage the questions of a part stand together on pages
     * @param bool           $inOrder  an answer is settled when the student goes on, and there is no way back
     * @param bool           $pasting  what was copied elsewhere may be put into an answer
     * @param bool $needsWorking where a question asks for working, an answer is not handed in without it
     * @param bool $fullScreen it is sat in full screen, and leaving that is told
     * @param list<string>   $tools that are offered beside the questions: calculator, rough paper
     * @param string         $coming   what is still to be told of work that is in, and when, or ''
     * @param string         $rules    the mastery rule in one sentence, or ''
     * @param list<SkillView> $skills  how the student stands with each, where the mastery rule counts skills
     * @param string|null    $hold     words on the screen of a student who is to stop; null where they may go on
     * @param int|null       $secondsLeft of the time that is set for the work; null where none is
     * @param TurnView|null  $turn     the time for each question, where it has one of its own
     * @param CallView|null  $call     what the student asks of the teacher, while it waits
     * @param list<NoteView> $notes    what the teacher has written, the latest first
     * @param string|null $climbs  the name of the team that the student climbs with
     * @param int            $live     the last message of the channel that this holds; 0 in the answer to an act
     */
    public function __construct(
        public string $id,
        public string $handoutId,
        public string $title,
        public string $state,
        public int $attempt,
        public string $section,
        public string $instructions,
        public int $visit,
        public array $sources,
        public array $steps,
        public ?string $at,
        public bool $mayGoOn,
        public bool $ended,
        public bool $settles,
        public bool $wholePage,
        public bool $inOrder,
        public bool $pasting,
        public bool $needsWorking,
        public bool $fullScreen,
        public array $tools,
        public string $coming,
        public string $rules,
        public ?string $marks,
        public string $of,
        public string $message,
        public ?string $reply,
        public ?string $handedInAt,
        public array $skills,
        public ?SupportView $support,
        public ?string $hold = null,
        public ?int $secondsLeft = null,
        public ?TurnView $turn = null,
        public ?CallView $call = null,
        public array $notes = [],
        public ?OwnHelpView $help = null,
        public ?string $climbs = null,
        public int $live = 0,
    ) {
    }
}
