import { GROUP_TITLES, GROUPS, requirementSentence, requirementTypes, startingRequirement } from '@ichnograph/core';
import type { Assignment, Requirement } from '@ichnograph/core';
import { Command } from 'cmdk';
import { useMemo } from 'react';
import { Dialog } from '../../ui/dialog';

/** A requirement is found by the words in its sentence, all that were typed. */
const holdsAll = (value: string, typed: string): number => {
  const words = typed.toLowerCase().split(/\s+/);
  return words.every((word) => value.toLowerCase().includes(word)) ? 1 : 0;
};

/** All that can be asked for, by what a teacher wants to see, in the words of this assignment's own legend. */
export function AddRequirement({
  open,
  onOpenChange,
  onAdd,
  assignment,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onAdd: (requirement: Omit<Requirement, 'id'>) => void;
  assignment: Assignment;
}) {
  const offers = useMemo(
    () =>
      !open
        ? []
        : GROUPS.map((group) => ({
            group,
            members: requirementTypes()
              .filter((type) => type.group === group)
              .map(({ id }) => {
                const { id: _, ...requirement } = startingRequirement(id, assignment, { id });
                return { requirement, sentence: requirementSentence(requirement, assignment) };
              }),
          })),
    [open, assignment],
  );
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="What do you want to see?"
      onCloseAutoFocus={(event) => event.preventDefault()}
    >
      <Command label="Requirements" loop filter={holdsAll} className="grid gap-2">
        <Command.Input className="field" placeholder="Type a word: links, words, colour, crossing …" data-autofocus />
        <Command.List className="max-h-[50vh] overflow-y-auto">
          <Command.Empty className="px-2 py-3 text-quiet">
            Nothing here has all these words. Try one word.
          </Command.Empty>
          {offers.map(({ group, members }) => (
            <Command.Group
              key={group}
              heading={GROUP_TITLES[group]}
              className="[&_[cmdk-group-heading]]:caption mb-2 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1"
            >
              {members.map(({ requirement, sentence }) => (
                <Command.Item
                  key={requirement.type}
                  value={`${sentence} ${requirement.type}`}
                  className="words cursor-pointer rounded-sm px-2 py-1.5 data-[selected=true]:bg-wash"
                  onSelect={() => {
                    onOpenChange(false);
                    onAdd(requirement);
                  }}
                >
                  {sentence}
                </Command.Item>
              ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Dialog>
  );
}
