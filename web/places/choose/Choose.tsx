import type { ReactNode } from 'react';
import { Navigate, useParams } from 'react-router';
import { PlaceHead } from '../../app/PlaceHead';
import { useCurrent } from '../../app/current';
import { useWay } from '../../app/way';
import { Kinds } from './Kinds';
import { SayWhatFor } from './SayWhatFor';

/** Which cover: from what it is to be for, or from all the kinds there are. */
export function Choose(): ReactNode {
  const way = useWay();
  const { bed } = useCurrent();
  const { leaf } = useParams();
  if (!bed) return <Navigate to={way('plot')} replace />;
  return (
    <>
      <PlaceHead title="Choose" subtitle={`a cover for ${bed.name}`} />
      {leaf === 'kinds' ? <Kinds key={bed.id} bed={bed} /> : <SayWhatFor key={bed.id} bed={bed} />}
    </>
  );
}
