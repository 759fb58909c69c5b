import { Button, Dialog, Text } from '@chakra-ui/react';
import { Frame } from '../parts/Frame';
import { useKeepAsking, useKeepRevision } from '../state/kept';

/** Asked when nothing has changed since the job's last version was saved; and why none was, when it could not be. */
export function KeepAgain() {
  const { again, trouble } = useKeepAsking();
  const keep = useKeepRevision();
  const close = () => useKeepAsking.setState({ again: undefined, trouble: undefined });
  if (again === undefined && !trouble) return null;
  return (
    <Frame title={trouble ? 'Nothing was saved' : 'Save the same again?'} onClose={close}>
      <Dialog.Body>
        {trouble ? (
          <Text role="alert" color="brickText">
            {trouble}
          </Text>
        ) : (
          <Text>Nothing has changed since version {again}. Saved again, it would stand there twice.</Text>
        )}
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        <Button variant="outline" onClick={close}>
          Leave it
        </Button>
        {!trouble && (
          <Button
            variant="solid"
            disabled={keep.isPending}
            onClick={() =>
              keep.mutate('', {
                onSuccess: close,
                onError: (error) => useKeepAsking.setState({ again: undefined, trouble: error.message }),
              })
            }
          >
            Save it again
          </Button>
        )}
      </Dialog.Footer>
    </Frame>
  );
}
